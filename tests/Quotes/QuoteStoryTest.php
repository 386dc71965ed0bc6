<?php

declare(strict_types=1);

namespace Telamon\Tests\Quotes;

use Symfony\Component\Process\Process;
use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** From an inquiry to a signed yes: lines from the answers, pricing, sending, choosing, asking, accepting. */
final class QuoteStoryTest extends AppTestCase
{
    use AsksRows;
    use WritesQuotes;

    public function testWhatAQuoteSaysIsKeptAsATemplateAndAnotherBeginsFromIt(): void
    {
        $quote = $this->draft()->ok(201);
        $keep = fn (string $name): Answer => $this->post('/api/quotes/'.$quote->text('id').'/template', ['name' => $name]);
        self::assertSame('name', $keep(' ')->ok(422)->text('violations.0.path'));
        self::assertSame(['Weekend repair'], $keep('Weekend repair')->ok()->column('items', 'name'));
        self::assertSame([2], $keep('Weekend repair')->ok()->column('items', 'lines'), 'one name is one template; a line that is an answer itself is left out');
        $template = $this->get('/api/quotes/templates')->ok()->text('items.0.id');
        $client = $this->id('SELECT id FROM client');
        $begun = $this->post('/api/quotes', ['client' => $client, 'template' => $template])->ok(201);
        self::assertSame(['First visit', 'Second tuning after six weeks'], $begun->column('content.lines', 'name'));
        self::assertSame(['', ''], $begun->column('content.lines', 'from'), 'nothing of the other client');

        $this->call('DELETE', "/api/quotes/templates/$template")->ok();
        self::assertSame('template', $this->post('/api/quotes', ['client' => $client, 'template' => $template])->ok(422)->text('violations.0.path'));
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertSame(['Weekend repair'], $this->get('/api/quotes/templates')->ok()->column('items', 'name'));
    }

    public function testFilesOfTheProjectGoWithTheQuoteAndNoOthers(): void
    {
        $file = function (string $name): string {
            $picture = "{$this->data}/$name";
            $image = imagecreatetruecolor(40, 30);
            self::assertNotFalse($image);
            imagepng($image, $picture);

            return $this->upload($picture, $name)->ok(201)->text('id');
        };
        $mine = $this->post('/api/files', ['uploads' => [$file('soundboard.png')], 'project' => $this->project])->ok(201)->text('items.0.id');
        $this->inquire(['service' => 'repair', 'email' => 'other@example.org', 'name' => 'Oona Other', 'phone' => '020 913 0099'])->ok(201);
        $this->work();
        $this->accept($this->lastSubmission())->ok();
        $theirs = $this->post('/api/files', ['uploads' => [$file('their-house.png')], 'project' => $this->id("SELECT id FROM project WHERE id <> '{$this->project}'")])
            ->ok(201)
            ->text('items.0.id');

        $quote = $this->priced($this->draft()->ok(201))->ok();
        $content = $quote->map('content');
        $with = fn (string ...$ids): Answer => $this->call(
            'PUT',
            '/api/quotes/'.$quote->text('id'),
            ['version' => $this->get('/api/quotes/'.$quote->text('id'))->number('version'), 'content' => ['attachments' => $ids] + $content],
        );
        self::assertSame('content.attachments', $with($mine, $theirs)->ok(422)->text('violations.0.path'));
        $kept = $with($mine)->ok();
        $sent = $this->post('/api/quotes/'.$quote->text('id').'/send', ['version' => $kept->number('version')])->ok();
        $page = '/api/public/quotes/'.$sent->text('token');
        self::assertSame(['soundboard.png'], $this->get($page)->ok()->column('quote.files', 'name'));
        $this->get("$page/files/$mine")->ok();
        $this->get("$page/files/$theirs")->ok(404);
        self::assertSame(
            [],
            $this->post('/api/quotes', ['client' => $this->id('SELECT id FROM client'), 'like' => $quote->text('id')])->ok(201)->at('content.attachments'),
            'a copy may be for somebody else',
        );

        $this->call('DELETE', "/api/files/$mine")->ok(204);
        self::assertSame([], $this->get($page)->ok()->at('quote.files'));
        $this->get("$page/files/$mine")->ok(404);
    }

    public function testAnInquiryBecomesAPricedSignedYes(): void
    {
        $quote = $this->draft()->ok(201);
        self::assertSame(['First visit', 'Second tuning after six weeks', '7 Weir Cottages, Marrowby. Three steps up.'], $quote->column('content.lines', 'name'));
        self::assertSame(['service: Repair', 'service: Repair'], \array_slice($quote->column('content.lines', 'from'), 0, 2));
        self::assertStringContainsString('Three steps up', $quote->text('content.lines.2.from'));
        self::assertSame(['lines.2.price'], $quote->column('missing', 'path'));
        self::assertSame('Quote', $this->db()->fetchOne('SELECT stage FROM project'), 'a new quote starts at its own stage');
        $send = fn (Answer $quote): Answer => $this->post('/api/quotes/'.$quote->text('id').'/send', ['version' => $quote->number('version')]);
        self::assertStringContainsString('has no price', $send($quote)->ok(422)->body);
        $quote = $this->priced($quote)->ok();
        self::assertSame('155.00', $quote->text('totals.net'));
        $quote = $send($quote)->ok();
        self::assertSame('sent', $quote->text('state'));
        $this->clock->sleep(60);
        $this->work();
        $mail = $this->db()->fetchAssociative("SELECT text, papers ->> 0 AS paper FROM message WHERE template = 'quote' AND state = 'sent'");
        self::assertIsArray($mail);
        self::assertIsString($mail['text']);
        self::assertStringContainsString('€175.93 with VAT', $mail['text']);
        self::assertIsString($mail['paper'], 'the PDF goes with it');

        $t = $quote->text('token');
        $this->post("/api/public/quotes/$t/opened")->ok(204);
        self::assertSame('opened', $this->get('/api/quotes/'.$quote->text('id'))->ok()->text('state'));
        $page = $this->get("/api/public/quotes/$t")->ok();
        self::assertSame([false, true, false], $page->column('quote.lines', 'choice'));
        $total = $this->post("/api/public/quotes/$t/total", ['ticked' => ['l2']])->ok()->text('total');
        self::assertSame('272.40', $total, '155 and 85 at 13.5 %');
        $this->post("/api/public/quotes/$t/accept", ['ticked' => ['l2'], 'total' => '175.93', 'name' => 'Orla Fennick'])->ok(409);
        $this->post("/api/public/quotes/$t/accept", ['ticked' => ['l2'], 'total' => $total, 'name' => ''])->ok(422);
        self::assertArrayHasKey(
            'drawing',
            $this->post("/api/public/quotes/$t/accept", ['ticked' => ['l2'], 'total' => $total, 'name' => 'Orla Fennick', 'drawing' => self::picture(1)])->ok(422)->violations(),
        );
        $signed = $this->post("/api/public/quotes/$t/accept", ['ticked' => ['l2'], 'total' => $total, 'name' => 'Orla Fennick', 'drawing' => self::picture(80)])->ok();
        self::assertSame('accepted', $signed->text('quote.state'));
        $again = $this->post("/api/public/quotes/$t/accept", ['ticked' => [], 'total' => '175.93', 'name' => 'Orla Fennick'])->ok(409);
        self::assertStringContainsString('accepted already', $again->body);

        $this->work();
        $this->signIn();
        $quote = $this->get('/api/quotes/'.$quote->text('id'))->ok();
        self::assertSame(['Orla Fennick', '272.40'], [$quote->text('signed.name'), $quote->text('total')]);
        $row = $this->db()->fetchAssociative('SELECT document, sha256, address FROM signed');
        self::assertIsArray($row);
        self::assertIsString($row['document']);
        self::assertSame(hash('sha256', $row['document']), $row['sha256'], 'what was signed is kept exactly');
        self::assertSame('Workshop', $this->db()->fetchOne('SELECT stage FROM project'), 'its yes moves the work along');
        self::assertContains('See that the deposit of €54.48 comes in', $this->db()->fetchFirstColumn('SELECT name FROM task'));
        $files = $this->get("/api/files?project={$this->project}")->ok()->column('items', 'name');
        self::assertContains('Q-0001-1-signed.pdf', $files);
        $text = (new Process(['pdftotext', '-layout', '-', '-'], input: $this->get('/api/quotes/'.$quote->text('id').'/pdf')->ok()->body))->mustRun()->getOutput();
        $words = (string) preg_replace('/\s+/', ' ', $text);
        foreach ([
            'Marrowby Piano Workshop',
            'Q-0001',
            'First visit',
            'Total',
            '€272.40',
            'What was signed, and how',
            'Orla Fennick',
            substr($row['sha256'], 0, 16),
            'Page 1 of 2',
        ] as $said) {
            self::assertStringContainsString($said, $words);
        }
        $mail = $this->db()->fetchAssociative("SELECT text, papers ->> 0 AS paper FROM message WHERE template = 'quote-accepted'");
        self::assertIsArray($mail);
        self::assertIsString($mail['text']);
        self::assertStringContainsString('deposit of €54.48', $mail['text']);
    }

    public function testAQuestionBecomesSomethingToDoAndADeclineIsKept(): void
    {
        $t = $this->sent();
        $this->post("/api/public/quotes/$t/question", ['words' => ' '])->ok(422);
        foreach ([1, 2] as $twice) {
            $this->post("/api/public/quotes/$t/question", ['words' => 'Is the van in it?'])->ok();
        }
        self::assertSame(1, (int) $this->number("SELECT COUNT(*) FROM task WHERE name LIKE 'Answer the question%'"), 'pressed twice is one');
        self::assertSame(['Answer the question'], array_column($this->get('/api/quotes')->ok()->column('items', 'next'), 'words'));
        $this->post("/api/public/quotes/$t/decline", ['reason' => 'Too much at once'])->ok();
        $this->post("/api/public/quotes/$t/decline", ['reason' => 'Again'])->ok();
        self::assertSame('Too much at once', $this->db()->fetchOne('SELECT reason FROM quote'));
        $this->post("/api/public/quotes/$t/accept", ['ticked' => [], 'total' => '175.93', 'name' => 'Orla Fennick'])->ok(409);
    }

    public function testAnotherRevisionReplacesTheOneThatIsOutAndSaysWhatChanged(): void
    {
        $t = $this->sent();
        $id = $this->id('SELECT id FROM quote');
        $this->call('PUT', "/api/quotes/$id", ['version' => $this->get("/api/quotes/$id")->ok()->number('version'), 'validUntil' => '2027-01-01'])->ok(409);
        $next = $this->post("/api/quotes/$id/revise")->ok(201);
        self::assertSame('Q-0001/2', $next->text('number'));
        $this->post("/api/quotes/$id/revise")->ok(409);
        $content = $next->map('content');
        self::assertIsArray($content['lines']);
        self::assertIsArray($content['lines'][0]);
        $content['lines'][0]['price'] = '60.00';
        $next = $this->call('PUT', '/api/quotes/'.$next->text('id'), ['version' => $next->number('version'), 'content' => $content])->ok();
        self::assertSame('sent', $this->get("/api/quotes/$id")->ok()->text('state'), 'what the client has is good until the next is sent');
        $next = $this->post('/api/quotes/'.$next->text('id').'/send', ['version' => $next->number('version')])->ok();
        self::assertStringContainsString('no longer good', $this->get("/api/public/quotes/$t")->ok(410)->text('detail'));
        $this->get("/api/public/quotes/$t/quote.pdf")->ok(410);
        $this->post("/api/public/quotes/$t/accept", ['ticked' => [], 'total' => '175.93', 'name' => 'Orla Fennick'])->ok(410);
        $shown = $this->get('/api/public/quotes/'.$next->text('token'))->ok()->at('quote.changed');
        self::assertSame(['Changed: First visit: 60.00 each (before 65.00 each)', 'Total: €170.25 (before: €175.93)'], $shown);
        self::assertSame($shown, $this->get('/api/quotes/'.$next->text('id')."/compare/$id")->ok()->at('differences'));
    }

    public function testTheSumsSayWhereTheListHasAnotherPriceForSoMany(): void
    {
        $this->post(
            '/api/prices',
            ['item' => ['code' => 'key', 'name' => 'Free a key', 'price' => '12', 'vat' => ['category' => 'S', 'rate' => '23'], 'steps' => [['from' => '20', 'price' => '9.50']]]],
        )
            ->ok(201);
        $line = ['key' => 'a', 'code' => 'key', 'name' => 'Free a key', 'quantity' => '20', 'price' => '12', 'vat' => ['category' => 'S', 'rate' => '23']];
        $total = fn (array $line): Answer => $this->post('/api/quotes/total', ['content' => ['lines' => [$line]]])->ok();
        self::assertSame([['line' => 0, 'price' => '9.50']], $total($line)->at('listed'));
        self::assertSame([], $total(['price' => '11'] + $line)->at('listed'));
    }

    public function testAQuestionStopsTheReminderUntilItIsAnswered(): void
    {
        $t = $this->sent();
        $id = $this->id('SELECT id FROM quote');
        $this->post("/api/public/quotes/$t/question", ['words' => 'Is the van in it?'])->ok();
        $this->clock->modify('2026-12-07 10:00:00');
        $before = $this->countRows('change_set');
        $this->sweep();
        $this->sweep();
        self::assertSame($before, $this->countRows('change_set'), 'nothing was done, so nothing is a change');
        $next = fn (): string => $this->get('/api/quotes')->ok()->text('items.0.next.words');
        self::assertSame('Answer the question', $next());
        $quote = $this->get("/api/quotes/$id")->ok();
        $reply = fn (string $words, int $question = 0): Answer => $this->post(
            "/api/quotes/$id/reply",
            ['version' => $quote->number('version'), 'question' => $question, 'words' => $words],
        );
        self::assertSame('words', $reply(' ')->ok(422)->text('violations.0.path'));
        self::assertSame('question', $reply('Yes.', 7)->ok(422)->text('violations.0.path'));
        self::assertSame('Yes, both ways.', $reply('Yes, both ways.')->ok()->text('questions.0.answer'));
        $reply('Yes, both ways.')->ok(409);
        self::assertSame(0, (int) $this->number("SELECT COUNT(*) FROM task WHERE name LIKE 'Answer the question%' AND finished_at IS NULL"), 'what was to be done is done');
        self::assertNotSame('Answer the question', $next());
        self::assertSame([['words' => 'Is the van in it?', 'answer' => 'Yes, both ways.']], $this->get("/api/public/quotes/$t")->ok()->at('quote.questions'));
        $this->clock->sleep(60);
        $this->work();
        self::assertStringContainsString(
            'Yes, both ways.',
            (string) json_encode($this->db()->fetchFirstColumn("SELECT text FROM message WHERE template = 'quote-reply' AND state = 'sent'")),
        );
        $this->sweep();
        self::assertSame(1, (int) $this->number("SELECT COUNT(*) FROM message WHERE template = 'quote-nudge'"));
    }

    public function testMoreQuotesThanAListShowsAreInTheSumsAndInTheFile(): void
    {
        $this->sent();
        $columns = 'version, state, asset_id, issued_on, sent_at, opened_at, opened_times, answered_at, reason, nudged_at, questions, total, to_price, content, revision, client_id, project_id, submission_id, lead_id, currency, gross, valid_until, made_at';
        $this->db()
            ->executeStatement("INSERT INTO quote (id, number, $columns) WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < 520) SELECT printf('01a21cd5-0000-7000-8000-%012d', i), 'X-' || i, $columns FROM quote, n");
        $list = $this->get('/api/quotes')->ok();
        self::assertSame([500, true, 521, '€91,659.53'], [\count($list->rows('items')), $list->at('more'), $list->number('sums.0.count'), $list->text('sums.0.sum')]);
        self::assertSame(522, substr_count($this->get('/api/quotes/export')->ok()->body, "\r\n"), 'the heads, and every one of them');
    }

    public function testItIsRemindedOfOnceAndRunsOut(): void
    {
        $t = $this->sent();
        $this->clock->modify('2026-12-05 10:00:00');
        $this->sweep();
        self::assertSame(0, (int) $this->number("SELECT COUNT(*) FROM message WHERE template = 'quote-nudge'"));
        $this->clock->modify('2026-12-07 10:00:00');
        $this->sweep();
        $this->sweep();
        self::assertSame(1, (int) $this->number("SELECT COUNT(*) FROM message WHERE template = 'quote-nudge'"));
        $this->clock->modify('2026-12-10 10:00:00');
        self::assertStringContainsString('good until 9 December 2026', $this->post("/api/public/quotes/$t/accept", ['ticked' => [], 'total' => '175.93', 'name' => 'Orla Fennick'])->ok(409)->body, 'before the worker comes, too');
        $this->work();
        $this->sweep();
        self::assertSame('expired', $this->db()->fetchOne('SELECT state FROM quote'));
    }

    public function testTheOfficesLookIsNotTheClientsAndAnswersNothing(): void
    {
        $t = $this->sent();
        $this->asOffice = true;
        self::assertTrue($this->get("/api/public/quotes/$t")->ok()->at('quote.byOffice'));
        $this->post("/api/public/quotes/$t/opened")->ok(204);
        self::assertSame('sent', $this->db()->fetchOne('SELECT state FROM quote'), 'it leaves no trace');
        $this->post("/api/public/quotes/$t/total", ['ticked' => ['l2']])->ok();
        $changes = $this->countRows('change_set');
        foreach (['accept' => ['ticked' => [], 'total' => '175.93', 'name' => 'Orla Fennick'], 'decline' => ['reason' => ''], 'question' => ['words' => 'Is the van in it?']] as $act => $body) {
            self::assertStringContainsString('for the client alone', $this->post("/api/public/quotes/$t/$act", $body)->ok(403)->text('detail'));
        }
        self::assertSame($changes, $this->countRows('change_set'));
        $this->asOffice = false;
        self::assertFalse($this->get("/api/public/quotes/$t")->ok()->at('quote.byOffice'));
        $this->post("/api/public/quotes/$t/opened")->ok(204);
        self::assertSame('opened', $this->db()->fetchOne('SELECT state FROM quote'));
    }

    public function testPageAndOfficeShowOneBlockOfSumsThatAddsUp(): void
    {
        $quote = $this->priced($this->draft()->ok(201))->ok();
        $content = $quote->map('content');
        $vat = ['category' => 'S', 'rate' => '13.5'];
        $content = ['allowances' => [['name' => 'Loyalty', 'percent' => '10', 'amount' => null, 'vat' => $vat]], 'charges' => [['name' => 'Travel', 'percent' => null, 'amount' => '20.00', 'vat' => $vat]], 'deposit' => ['percent' => '20', 'amount' => null], 'instalments' => [['percent' => '50', 'when' => 'when work begins'], ['percent' => '50', 'when' => 'when it is done']]] + $content;
        self::assertIsArray($content['lines']);
        self::assertIsArray($content['lines'][0]);
        $content['lines'][0] = ['offPercent' => '10', 'quantity' => '2'] + $content['lines'][0];
        $quote = $this->call('PUT', '/api/quotes/'.$quote->text('id'), ['version' => $quote->number('version'), 'content' => $content])->ok();
        $t = $this->post('/api/quotes/'.$quote->text('id').'/send', ['version' => $quote->number('version')])->ok()->text('token');
        $page = $this->get("/api/public/quotes/$t")->ok();
        self::assertSame($quote->at('totals'), $page->at('quote.totals'));
        self::assertSame($quote->at('totals'), json_decode($this->post("/api/public/quotes/$t/total", ['ticked' => []])->ok()->body, true));
        // 117 and 90, less 10 %, and 20: 206.30; with 13.5 %: 234.15; a fifth of it first.
        $rows = static fn (array $all): array => array_map(static fn (array $one): string => "{$one['label']}: {$one['value']}", $all);
        self::assertSame(['Loyalty, 10 %: −20.70', 'Travel: 20.00', 'Without VAT: 206.30', 'VAT 13.5 % of 206.30: 27.85', 'Total: €234.15'], $rows($page->rows('quote.totals.sums')));
        self::assertSame(['Deposit of 20 %, asked for after your yes: 46.83', '50 %, when work begins, less the deposit: 70.25', '50 %, when it is done: 117.07'], $rows($page->rows('quote.totals.payments')));
        self::assertSame(['65.00', '10 % off', '13.5 %', '2'], [$page->text('quote.lines.0.price'), $page->text('quote.lines.0.off'), $page->text('quote.lines.0.rate'), $page->text('quote.lines.0.quantity')]);
        $words = (string) preg_replace('/\s+/', ' ', (new Process(['pdftotext', '-layout', '-', '-'], input: $this->get("/api/public/quotes/$t/quote.pdf")->ok()->body))->mustRun()->getOutput());
        foreach (['Loyalty, 10 % −20.70', 'Travel 20.00', 'Without VAT 206.30', 'Total €234.15', '50 %, when work begins, less the deposit 70.25'] as $said) {
            self::assertStringContainsString($said, $words);
        }
    }

    public function testRulesWaitForWhatHappensToAQuote(): void
    {
        $this->post('/api/rules', ['name' => 'Yes', 'when' => 'quote-accepted', 'then' => [['kind' => 'task', 'name' => 'Order the strings', 'doer' => 'lead', 'days' => 1]], 'enabled' => true, 'why' => ''])->ok(201);
        $t = $this->sent();
        $this->post("/api/public/quotes/$t/accept", ['ticked' => [], 'total' => '175.93', 'name' => 'Orla Fennick'])->ok();
        self::assertContains('Order the strings', $this->db()->fetchFirstColumn('SELECT name FROM task'));
    }

    public function testTheSameSendingTwiceIsOneQuoteAndOneUndoTakesItBack(): void
    {
        $post = fn (): Answer => $this->call('POST', '/api/quotes', ['project' => $this->project], ['HTTP_IDEMPOTENCY_KEY' => 'q1']);
        self::assertSame($post()->ok(201)->text('id'), $post()->ok(201)->text('id'));
        self::assertSame(1, $this->countRows('quote'));
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertSame('replaced', $this->db()->fetchOne('SELECT state FROM quote'));
        self::assertSame([], $this->get('/api/quotes')->ok()->rows('items'));
    }

    public function testTheQuotationIsUblInTheOrderOfItsSchema(): void
    {
        $this->sent();
        $xml = new \DOMDocument();
        self::assertTrue($xml->loadXML($this->get('/api/quotes/'.$this->id('SELECT id FROM quote').'/ubl')->ok()->body));
        $root = $xml->documentElement;
        self::assertNotNull($root);
        self::assertSame(['urn:oasis:names:specification:ubl:schema:xsd:Quotation-2', 'Quotation'], [$root->namespaceURI, $root->localName]);
        // UBL-Quotation-2.1.xsd, elements in their sequence; those that a quotation has to have: ID, IssueDate, SellerSupplierParty, QuotationLine.
        $names = [];
        foreach ($root->childNodes as $node) {
            if ($node instanceof \DOMElement) {
                $names[] = $node->localName;
            }
        }
        self::assertSame(['UBLVersionID', 'ID', 'IssueDate', 'PricingCurrencyCode', 'ValidityPeriod', 'SellerSupplierParty', 'BuyerCustomerParty', 'TaxTotal', 'QuotedMonetaryTotal', 'QuotationLine', 'QuotationLine'], $names, 'the option that is not chosen is none of its lines');
        $xpath = new \DOMXPath($xml);
        $said = static function (string $path) use ($xpath): string {
            $text = $xpath->evaluate("string($path)");

            return \is_string($text) ? $text : '';
        };
        self::assertSame(['155.00', '175.93', 'E48'], [$said("//*[local-name()='TaxExclusiveAmount']"), $said("//*[local-name()='PayableAmount']"), $said("//*[local-name()='Quantity']/@unitCode")]);
    }

    public function testASuppliersQuotationIsReadAsLines(): void
    {
        $this->sent();
        $xml = $this->get('/api/quotes/'.$this->id('SELECT id FROM quote').'/ubl')->ok()->body;
        $read = $this->post('/api/quotes/ubl', ['xml' => $xml])->ok();
        self::assertSame(['EUR', 'Marrowby Piano Workshop'], [$read->text('currency'), $read->text('from')]);
        self::assertSame(['First visit', 'Carry the action away and back'], $read->column('lines', 'name'));
        self::assertSame(['65.00', '90.00'], $read->column('lines', 'price'));
        self::assertSame(['E48', 'C62'], $read->column('lines', 'unit'));
        foreach (['', 'no xml', '<a/>', '<?xml version="1.0"?><!DOCTYPE q [<!ENTITY x SYSTEM "file:///etc/passwd">]><Quotation xmlns="urn:oasis:names:specification:ubl:schema:xsd:Quotation-2">&x;</Quotation>', '<Quotation xmlns="urn:oasis:names:specification:ubl:schema:xsd:Quotation-2"/>'] as $wrong) {
            self::assertArrayHasKey('xml', $this->post('/api/quotes/ubl', ['xml' => $wrong])->ok(422)->violations());
        }
        self::assertStringContainsString('in USD', $this->post('/api/quotes/ubl', ['xml' => str_replace('currencyID="EUR"', 'currencyID="USD"', $xml)])->ok(422)->body);
        self::assertStringContainsString('Line 1: price', $this->post('/api/quotes/ubl', ['xml' => str_replace('>65.00</cbc:PriceAmount>', '>much</cbc:PriceAmount>', $xml)])->ok(422)->body);
    }

    public function testThePriceListIsReadFromAFileOrRefusedWhole(): void
    {
        $csv = "code;name;price;rate;unit\r\nstring;Bass string;50,00;13.5;C62\r\nfelt;Felt;12;23;C62\r\n";
        $tried = $this->post('/api/prices/import', ['csv' => $csv, 'dry' => true])->ok();
        self::assertSame([1, 1, []], [$tried->number('added'), $tried->number('changed'), $tried->at('wrong')]);
        self::assertSame('48.00', $this->db()->fetchOne("SELECT price FROM price_item WHERE code = 'string'"), 'tried only');
        $this->post('/api/prices/import', ['csv' => $csv, 'dry' => false])->ok();
        self::assertSame('50.00', $this->db()->fetchOne("SELECT price FROM price_item WHERE code = 'string'"));
        $twice = "code,name,price,rate\nfelt,Felt,1,23\nfelt,Felt,2,23\nbad code!,x,much,23\n";
        $told = $this->post('/api/prices/import', ['csv' => $twice, 'dry' => true])->ok();
        self::assertSame(['Line 3: The code felt stands twice.', 'Line 4: A code has letters, figures, dots and hyphens.'], $told->at('wrong'));
        $effort = "code,name,price,rate,effort,steps,from\nfelt,Felt,1,23,much,,\nkey,Key,1,23,5,20 at much,\nlid,Lid,1,23,5,,31/02/2027\n";
        self::assertSame(['Line 2: Minutes are a whole number.', 'Line 3: Write steps as “20: 9.50; 50: 8”.', 'Line 4: Write a day as 2027-01-31.'], $this->post('/api/prices/import', ['csv' => $effort, 'dry' => true])->ok()->at('wrong'));
        $this->post('/api/prices', ['item' => ['code' => 'pin', 'name' => 'Pin', 'price' => '12', 'vat' => ['category' => 'S', 'rate' => '23'], 'steps' => [['from' => '20', 'price' => '9.50'], ['from' => '50', 'price' => '8']]], 'effort' => 10, 'validFrom' => '2026-01-01', 'validTo' => '2027-12-31', 'retired' => true])->ok(201);
        $out = $this->get('/api/prices/export')->ok()->body;
        $this->db()->executeStatement("DELETE FROM price_item WHERE code = 'pin'");
        $this->post('/api/prices/import', ['csv' => $out, 'dry' => false])->ok();
        self::assertSame($out, $this->get('/api/prices/export')->ok()->body, 'what goes out comes in again, whole');
        self::assertStringContainsString('Nothing was read in', $this->post('/api/prices/import', ['csv' => $twice, 'dry' => false])->ok(422)->body);
        self::assertArrayHasKey('item.code', $this->post('/api/prices', ['item' => ['code' => 'felt', 'name' => 'x', 'vat' => ['category' => 'S', 'rate' => '23']]])->ok(422)->violations());
        self::assertStringContainsString('felt,Felt,', $this->get('/api/prices/export')->ok()->body);
        self::assertArrayHasKey('rows.0.code', $this->call('PUT', '/api/prices/setup', ['rows' => [['service' => 'repair', 'code' => 'none', 'question' => '', 'answer' => '', 'count' => '', 'quantity' => '1', 'optional' => false]], 'version' => 1] + $this->usual())->ok(422)->violations());
    }

    public function testSendingIsTakenBackWhileTheMailIsHeldAndNotAfter(): void
    {
        $t = $this->sent();
        $undo = fn (): Answer => $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo');
        $undo()->ok();
        self::assertSame('draft', $this->db()->fetchOne('SELECT state FROM quote'));
        $this->get("/api/public/quotes/$t")->ok(404);
        $this->clock->sleep(120);
        $this->work();
        self::assertSame(0, (int) $this->number("SELECT COUNT(*) FROM message WHERE template = 'quote' AND state = 'sent'"), 'nobody got it');
        $id = $this->id('SELECT id FROM quote');
        $this->post("/api/quotes/$id/send", ['version' => $this->get("/api/quotes/$id")->ok()->number('version')])->ok();
        $this->clock->sleep(120);
        $this->work();
        self::assertSame(1, (int) $this->number("SELECT COUNT(*) FROM message WHERE template = 'quote' AND state = 'sent'"));
        self::assertStringContainsString('already sent', $undo()->ok()->body);
        self::assertSame('sent', $this->db()->fetchOne('SELECT state FROM quote'));
    }

    public function testARuleDraftsAQuoteAndItsLeadIsTold(): void
    {
        $this->post('/api/rules', ['name' => 'Quote it', 'when' => 'received', 'then' => [['kind' => 'quote']], 'enabled' => true, 'why' => ''])->ok(201);
        $this->inquire(['service' => 'repair', 'name' => 'Wilf Ambry', 'email' => 'wilf@example.org', 'phone' => '', 'place' => '2 Mill Race'])->ok(201);
        $this->work();
        $plan = $this->get('/api/submissions/'.$this->lastSubmission())->ok();
        self::assertStringContainsString('Draft a quote, with lines from the answers', $plan->body);
        $this->accept($this->lastSubmission())->ok();
        self::assertSame(['draft', '2'], [$this->db()->fetchOne('SELECT state FROM quote'), $this->number("SELECT json_array_length(content, '$.lines') FROM quote")]);
        self::assertStringContainsString('is to be written', (string) json_encode($this->db()->fetchFirstColumn("SELECT subject FROM message WHERE template = 'quote-answered'")));
    }

    public function testQuotesGoWithAClientThatIsMergedAndWithALeadWhoLeaves(): void
    {
        $quote = $this->draft()->ok(201);
        $this->db()->executeStatement("UPDATE quote SET lead_id = (SELECT id FROM staff WHERE initials = 'PT')");
        $this->signIn('sorcha@marrowby.example');
        $lead = $this->id("SELECT id FROM staff WHERE initials = 'PT'");
        $teo = $this->id("SELECT id FROM staff WHERE initials = 'TA'");
        self::assertStringContainsString('1 open quote', $this->get('/api/setup')->ok()->body);
        $this->post("/api/setup/staff/$lead/leaving", ['handTo' => $teo])->ok();
        self::assertSame($teo, $this->db()->fetchOne('SELECT lead_id FROM quote'));
        $this->signIn();
        $other = $this->post('/api/clients', ['givenName' => 'Orla', 'familyName' => 'Fennick', 'contactPoints' => [['kind' => 'email', 'value' => 'orla.f@example.org']]])->ok(201)->text('id');
        $this->post("/api/clients/$other/merge", ['other' => $quote->text('client.id')])->ok();
        self::assertSame($other, $this->db()->fetchOne('SELECT client_id FROM quote'));
    }

    public function testTwoPeopleChangeOneDraftAndFieldStaffSeeNone(): void
    {
        $quote = $this->draft()->ok(201);
        $edit = ['version' => $quote->number('version'), 'validUntil' => '2026-12-24'];
        $this->call('PUT', '/api/quotes/'.$quote->text('id'), $edit)->ok();
        $this->call('PUT', '/api/quotes/'.$quote->text('id'), $edit)->ok(409);
        $this->signIn('teo@marrowby.example');
        $this->get('/api/quotes')->ok(403);
        $this->get('/api/quotes/'.$quote->text('id'))->ok(403);
    }

    private function sweep(): void
    {
        $this->byClock('quotes');
    }
}
