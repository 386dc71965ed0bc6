<?php

declare(strict_types=1);

namespace Telamon\Tests\Intake;

use PHPUnit\Framework\Attributes\DataProvider;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

final class SubmitTest extends AppTestCase
{
    use AsksRows;

    public function testAnInquiryIsThankedWithANumber(): void
    {
        $answer = $this->inquire()->ok(201);
        self::assertSame('A-0001', $answer->text('reference'));
        self::assertStringContainsString('A-0001', $answer->text('message'));
        self::assertSame('A-0002', $this->inquire()->ok(201)->text('reference'));
    }

    public function testItIsKeptWordForWord(): void
    {
        $written = "  “Ó Briain” <b>x</b> =1+1 \u{202E}abc 🎹 ";
        $this->inquire(['matter' => $written])->ok(201);
        $this->signIn();
        $submission = $this->get('/api/submissions/'.$this->lastSubmission())->ok();
        self::assertContains($written, $submission->column('answers', 'text'));
    }

    /** @param array<string, mixed> $answers */
    #[DataProvider('badAnswers')]
    public function testABadAnswerIsToldBesideItsQuestion(array $answers, string $path, string $words): void
    {
        $answer = $this->inquire($answers)->ok(422);
        self::assertArrayHasKey($path, $answer->violations());
        self::assertStringContainsString($words, $answer->violations()[$path]);
        self::assertSame(0, $this->countRows('submission'));
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function badAnswers(): iterable
    {
        yield 'no name' => [['name' => ''], 'name', 'Tell us your name'];
        yield 'a name of signs' => [['name' => '---'], 'name', 'letters'];
        yield 'an impossible day' => [['wanted_by' => '31/02/2027'], 'wanted_by', 'no such day. Write it like 12 June 2027'];
        yield 'a day gone by' => [['wanted_by' => '2020-01-01'], 'wanted_by', 'has passed'];
        yield 'an email without a domain' => [['email' => 'orla@'], 'email', 'after the @'];
        yield 'an email without an ending' => [['email' => 'orla@example'], 'email', 'ending'];
        yield 'a phone with letters' => [['phone' => '020 CALL ME'], 'phone', 'figures'];
        yield 'a phone too short' => [['phone' => '12'], 'phone', 'too short'];
        yield 'ten thousand characters' => [['matter' => str_repeat('x', 10_000)], 'matter', 'Shorten this to 4,000 characters. It has 10,000 now.'];
        yield 'a service that is not offered' => [['service' => 'magic'], 'service', 'offered'];
        yield 'a question that does not exist' => [['salary' => '100'], 'salary', 'does not ask'];
        yield 'a list where text is asked' => [['name' => ['a', 'b']], 'name', 'text'];
        yield 'a number where text is asked' => [['name' => 7], 'name', 'text'];
        yield 'text where files are asked' => [['photos' => 'front.jpg'], 'photos', 'upload ids'];
        yield 'an upload that is not there' => [['photos' => ['0123456789abcdef0123456789abcdef']], 'photos', 'no longer here'];
    }

    public function testAllThatIsWrongIsToldAtOnce(): void
    {
        $violations = $this->inquire(['name' => '', 'email' => 'x', 'phone' => 'abc'])->ok(422)->violations();
        self::assertSame(['name', 'email', 'phone'], array_keys($violations));
    }

    public function testBytesThatAreNoTextAreRefused(): void
    {
        $body = '{"answers":{"name":"'."\xff\xfe".'","email":"a@example.com","service":"repair"}}';
        $this->send('POST', '/api/public/forms/piano-inquiry/submissions', ['HTTP_ORIGIN' => 'http://localhost', 'CONTENT_TYPE' => 'application/json'], $body)->ok(400);
    }

    public function testBrokenJsonIsAProblem(): void
    {
        $this->send('POST', '/api/public/forms/piano-inquiry/submissions', ['HTTP_ORIGIN' => 'http://localhost', 'CONTENT_TYPE' => 'application/json'], '{"answers":{')->ok(400);
        $this->send('POST', '/api/public/forms/piano-inquiry/submissions', ['HTTP_ORIGIN' => 'http://localhost', 'CONTENT_TYPE' => 'application/json'], '[]')->ok(422);
        $this->send('POST', '/api/public/forms/piano-inquiry/submissions', ['HTTP_ORIGIN' => 'http://localhost', 'CONTENT_TYPE' => 'application/json'], '"text"')->ok(400);
    }

    public function testAnUnknownFormIsNotFound(): void
    {
        $this->post('/api/public/forms/no-such-form/submissions', ['answers' => new \stdClass()])->ok(404);
        $this->get('/api/public/forms/no-such-form')->ok(404);
    }

    public function testWhatLooksMachineMadeIsSetAsideAndCanBePutBack(): void
    {
        $answers = ['name' => 'Orla', 'email' => 'o@example.com', 'service' => 'repair'];
        foreach ([['unseen' => 'https://spam.example'], ['seconds' => 1]] as $sign) {
            $this->post('/api/public/forms/piano-inquiry/submissions', ['answers' => $answers] + $sign)->ok(201);
        }
        $this->post('/api/public/forms/piano-inquiry/submissions', ['answers' => $answers, 'seconds' => 40, 'unseen' => ''])->ok(201);
        $this->signIn();
        self::assertCount(1, $this->get('/api/submissions')->ok()->rows('items'));
        $aside = $this->get('/api/submissions?state=set-aside')->ok();
        self::assertCount(2, $aside->rows('items'));
        self::assertStringContainsString('machine-made', $aside->text('items.0.aside.note'));
        $this->post('/api/submissions/'.$aside->text('items.0.id').'/undo')->ok();
        self::assertCount(2, $this->get('/api/submissions')->ok()->rows('items'));
    }

    public function testTheSameKeyTwiceIsOneSubmission(): void
    {
        $first = $this->inquire([], 'one-sending')->ok(201);
        $again = $this->inquire([], 'one-sending')->ok(201);
        self::assertSame($first->body, $again->body);
        self::assertSame(1, $this->countRows('submission'));
        self::assertSame('A-0002', $this->inquire([], 'another')->ok(201)->text('reference'));
    }

    public function testAKeyThatCameWithOtherAnswersIsRefusedAndNothingIsThrownAway(): void
    {
        $this->inquire([], 'one-sending')->ok(201);
        self::assertStringContainsString('A-0001', $this->inquire(['name' => 'Piet Marrow'], 'one-sending')->ok(409)->text('detail'));
        $this->inquire(['name' => 'Piet Marrow'], 'a-key-of-its-own')->ok(201);
        self::assertSame(2, $this->countRows('submission'));
    }

    public function testTheVersionThatWasLoadedIsTheOneThatCounts(): void
    {
        $loaded = $this->get('/api/public/forms/piano-inquiry')->ok()->number('version');
        $this->signIn();
        $forms = array_column($this->get('/api/forms')->ok()->rows('items'), 'id', 'slug');
        self::assertIsString($forms['piano-inquiry']);
        $form = $this->get("/api/forms/{$forms['piano-inquiry']}")->ok();
        $definition = $form->map('definition');
        self::assertIsArray($definition['pages']);
        $definition['pages'] = [['key' => 'you', 'title' => 'You', 'next' => 'Send', 'questions' => [
            ['key' => 'name', 'type' => 'person-name', 'wording' => 'Name', 'destination' => 'client.name'],
            ['key' => 'colour', 'type' => 'short-text', 'wording' => 'Colour', 'required' => true],
        ]]];
        $kept = $this->call('PUT', "/api/forms/{$forms['piano-inquiry']}", ['version' => $form->number('version'), 'definition' => $definition])->ok();
        $this->post("/api/forms/{$forms['piano-inquiry']}/publish", ['version' => $kept->number('version')])->ok();
        $answers = ['name' => 'Orla Fennick', 'email' => 'orla@example.com', 'service' => 'repair', 'matter' => 'Keys stick.'];
        $this->post('/api/public/forms/piano-inquiry/submissions', ['version' => $loaded, 'answers' => $answers])->ok(201);
        self::assertSame($loaded, $this->get('/api/submissions/'.$this->lastSubmission())->ok()->number('origin.version'));
        self::assertArrayHasKey('email', $this->post('/api/public/forms/piano-inquiry/submissions', ['answers' => $answers])->ok(422)->violations());
        $this->post('/api/public/forms/piano-inquiry/submissions', ['version' => 'two', 'answers' => $answers])->ok(422);
    }

    public function testACopyOfTheAnswersGoesOutAtOnceWhereTheFormSaysSo(): void
    {
        $this->db()->executeStatement("UPDATE form_version SET definition = json_set(definition, '$.copy', json('true'))");
        self::assertTrue($this->get('/api/public/forms/piano-inquiry')->ok()->at('copy'));
        $this->inquire(['matter' => 'Several keys stick.'])->ok(201);
        self::assertSame(1, $this->work());
        $copy = $this->db()->fetchNumeric('SELECT to_address, subject, text FROM message');
        self::assertIsArray($copy);
        self::assertContainsOnlyString($copy);
        self::assertSame('orla.fennick@example.com', $copy[0]);
        self::assertStringContainsString('A-0001', $copy[1]);
        self::assertStringContainsString("What should we do?\nRepair it", $copy[2]);
        self::assertStringNotContainsString('Several keys stick.', $copy[2], 'anybody may write anybody’s address: nothing that was typed freely goes there');
        self::assertStringNotContainsString('Weir Cottages', $copy[2]);
        // Nobody can have a stranger's mailbox filled.
        for ($i = 0; $i < 6; ++$i) {
            $this->inquire()->ok(201);
        }
        self::assertSame(4, $this->work());
    }

    public function testWhomTheFormTellsIsMailedAtOnce(): void
    {
        $pim = $this->id("SELECT id FROM staff WHERE email = 'pim@marrowby.example'");
        $this->tells($pim);
        $this->inquire(['matter' => 'Several keys stick.'])->ok(201);
        self::assertSame(1, $this->work(), 'nobody has accepted anything');
        $mail = $this->db()->fetchNumeric("SELECT to_address, subject, text FROM message WHERE template = 'arrived'");
        self::assertIsArray($mail);
        self::assertContainsOnlyString($mail);
        self::assertSame('pim@marrowby.example', $mail[0]);
        self::assertStringContainsString('A-0001', $mail[1]);
        self::assertStringContainsString('Several keys stick.', $mail[2]);
        // The same answers once more are no news, nor is what no person wrote.
        $this->db()->executeStatement('DELETE FROM message');
        $this->inquire(['matter' => 'Several keys stick.'])->ok(201);
        $this->post(
            '/api/public/forms/piano-inquiry/submissions',
            ['unseen' => 'Buy', 'answers' => ['name' => 'Bot', 'email' => 'bot@example.org', 'service' => 'repair', 'piano' => 'x', 'place' => 'y', 'matter' => 'Buy']],
        )
            ->ok(201);
        self::assertSame('0', $this->number("SELECT COUNT(*) FROM message WHERE template = 'arrived'"));
    }

    public function testWhoeverHasLeftIsNotToldAndNobodyIsFlooded(): void
    {
        $pim = $this->id("SELECT id FROM staff WHERE email = 'pim@marrowby.example'");
        $this->tells($pim);
        $this->db()->executeStatement('UPDATE staff SET active = 0 WHERE id = ?', [$pim]);
        $this->inquire()->ok(201);
        self::assertSame('coordinator@marrowby.example', $this->id("SELECT to_address FROM message WHERE template = 'arrived'"));
        for ($i = 0; $i < 31; ++$i) {
            $this->inquire()->ok(201);
        }
        self::assertSame('30', $this->number("SELECT COUNT(*) FROM message WHERE template = 'arrived'"), 'in one hour');
        $this->clock->modify('+61 minutes');
        $this->inquire()->ok(201);
        self::assertSame('31', $this->number("SELECT COUNT(*) FROM message WHERE template = 'arrived'"));
    }

    public function testWhoIsKnownGetsAllOfItAndAStrangerNoWordsOfAnother(): void
    {
        $this->db()->executeStatement("UPDATE form_version SET definition = json_set(definition, '$.copy', json('true'))");
        $this->inquire(['name' => 'YOUR PARCEL IS HELD at www.evil.example', 'email' => 'victim@example.org', 'matter' => 'Pay here.'])->ok(201);
        $this->work();
        $sent = json_encode($this->db()->fetchAllAssociative("SELECT to_name, subject, text FROM message WHERE to_address = 'victim@example.org'"));
        self::assertIsString($sent);
        self::assertStringContainsString('A-0001', $sent);
        self::assertDoesNotMatchRegularExpression('/PARCEL|evil|Pay here/', $sent);
        $this->signIn();
        $this->accept($this->lastSubmission())->ok();
        $this->inquire(['name' => 'Vic Tamworth', 'email' => 'victim@example.org', 'matter' => 'Another piano.'])->ok(201);
        $this->work();
        self::assertStringContainsString('Another piano.', (string) json_encode($this->db()->fetchOne("SELECT text FROM message WHERE template = 'copy' ORDER BY rowid DESC")));
    }

    public function testWhatTheFormHoldsNeverKeepsAReceiptFromItsSender(): void
    {
        $this->signIn();
        $this->publish(
            'Broken thanks',
            [
                'thanks' => 'Thank you {{name}}.',
                'pages' => [[
                    'key' => 'a',
                    'title' => 'A',
                    'next' => 'Send',
                    'questions' => [['key' => 'name', 'type' => 'person-name', 'wording' => 'Name', 'destination' => 'client.name']],
                ]],
            ],
        );
        // A version from before such texts were refused.
        $this->db()->executeStatement("UPDATE form_version SET definition = REPLACE(definition, 'Thank you {{name}}.', 'Thank you {{#name}}.')");
        $answer = $this->post('/api/public/forms/broken-thanks/submissions', ['answers' => ['name' => 'Orla Fennick']])->ok(201);
        self::assertSame('Thank you. Your number is A-0001.', $answer->text('message'));
    }

    public function testChoicesAreTakenOnceEach(): void
    {
        $this->signIn();
        $this->publish('Choices', ['pages' => [['key' => 'a', 'title' => 'A', 'next' => 'Send', 'questions' => [
            ['key' => 'any', 'type' => 'any-of', 'wording' => 'Which?', 'options' => [['value' => 'o1', 'label' => 'One'], ['value' => 'o2', 'label' => 'Two']]],
        ]]]]);
        foreach ([['o1', 'o1'], array_fill(0, 5000, 'o1'), ['o1', 'One'], ['o1', 'o2', 'o3']] as $chosen) {
            self::assertArrayHasKey('any', $this->post('/api/public/forms/choices/submissions', ['answers' => ['any' => $chosen]])->ok(422)->violations());
        }
        $this->post('/api/public/forms/choices/submissions', ['answers' => ['any' => ['o1', 'o2']]])->ok(201);
        $this->post('/api/public/forms/choices/submissions', ['answers' => ['any' => array_fill(0, 60_000, 'o1')]])->ok(413);
    }

    public function testFilesOfAQuestionThatIsNotShownAreNotTaken(): void
    {
        $this->signIn();
        $this->publish('Maybe files', ['pages' => [['key' => 'a', 'title' => 'A', 'next' => 'Send', 'questions' => [
            ['key' => 'has', 'type' => 'yes-no', 'wording' => 'Have you photographs?'],
            ['key' => 'photos', 'type' => 'files', 'wording' => 'Photographs', 'maxFiles' => 2, 'showIf' => ['question' => 'has', 'op' => 'is', 'value' => 'yes']],
        ]]]]);
        $image = imagecreatetruecolor(8, 8);
        self::assertNotFalse($image);
        imagejpeg($image, "{$this->data}/p.jpg");
        $id = $this->upload("{$this->data}/p.jpg", 'p.jpg')->ok(201)->text('id');
        $this->post('/api/public/forms/maybe-files/submissions', ['answers' => ['has' => 'no', 'photos' => [$id]]])->ok(201);
        self::assertSame(0, $this->countRows('attachment'));
        self::assertSame(1, $this->countRows('upload'));
        $this->post('/api/public/forms/maybe-files/submissions', ['answers' => ['has' => 'yes', 'photos' => [$id, 'b', 'c']]])->ok(422);
        $this->post('/api/public/forms/maybe-files/submissions', ['answers' => ['has' => 'yes', 'photos' => [$id]]])->ok(201);
        self::assertSame(1, $this->countRows('attachment'));
    }

    public function testALimitIsNotUsedUpByWhatLooksMachineMade(): void
    {
        $this->signIn();
        $this->publish(
            'Two seats',
            ['pages' => [['key' => 'a', 'title' => 'A', 'next' => 'Send', 'questions' => [['key' => 'who', 'type' => 'short-text', 'wording' => 'Who?']]]]],
        );
        $this->db()->executeStatement("UPDATE form SET most = 1 WHERE slug = 'two-seats'");
        $this->post('/api/public/forms/two-seats/submissions', ['answers' => ['who' => 'a'], 'unseen' => 'spam'])->ok(201);
        $this->post('/api/public/forms/two-seats/submissions', ['answers' => ['who' => 'b']])->ok(201);
        $this->post('/api/public/forms/two-seats/submissions', ['answers' => ['who' => 'c']])->ok(410);
    }

    public function testWhatLooksMachineMadeIsThrownAwayAfterASetTime(): void
    {
        $answers = ['name' => 'Orla', 'email' => 'o@example.com', 'service' => 'repair'];
        $this->post('/api/public/forms/piano-inquiry/submissions', ['answers' => $answers, 'unseen' => 'spam'])->ok(201);
        $this->post('/api/public/forms/piano-inquiry/submissions', ['answers' => ['name' => 'Putback'] + $answers, 'unseen' => 'spam'])->ok(201);
        $this->inquire()->ok(201);
        $this->signIn();
        $kept = array_column($this->get('/api/submissions?state=set-aside')->ok()->rows('items'), 'id', 'name');
        self::assertIsString($kept['Putback']);
        $this->post("/api/submissions/{$kept['Putback']}/undo")->ok();
        $this->clock->modify('+59 days');
        self::assertSame(0, $this->byClock('unwanted'));
        $this->clock->modify('+2 days');
        self::assertSame(1, $this->byClock('unwanted'));
        self::assertSame(2, $this->countRows('submission'), 'what was put back, and what nobody suspected, stays');
        self::assertSame(0, $this->countRows("journal_entry WHERE record_label LIKE '%Orla' AND record_kind = 'submission' AND record_label NOT LIKE '%Fennick%'"));
    }

    public function testWithoutAKeyTwiceIsTwo(): void
    {
        $this->inquire()->ok(201);
        $this->inquire()->ok(201);
        self::assertSame(2, $this->countRows('submission'));
    }

    public function testTooManyFromOneAddressAreHeldBack(): void
    {
        $_ENV['TELAMON_SUBMISSIONS_PER_HOUR'] = $_SERVER['TELAMON_SUBMISSIONS_PER_HOUR'] = '2';
        try {
            $this->inquire()->ok(201);
            $this->inquire()->ok(201);
            $this->inquire()->ok(429);
            self::assertSame(2, $this->countRows('submission'));
        } finally {
            $_ENV['TELAMON_SUBMISSIONS_PER_HOUR'] = $_SERVER['TELAMON_SUBMISSIONS_PER_HOUR'] = '600';
        }
    }

    public function testThePublishedDefinitionTellsNoDestination(): void
    {
        $form = $this->get('/api/public/forms/piano-inquiry')->ok();
        self::assertStringNotContainsString('destination', $form->body);
        self::assertSame(range(1, 9), [...$form->column('pages.0.questions', 'number'), ...$form->column('pages.1.questions', 'number')]);
        self::assertSame('+353 20 917 2204', $form->text('business.phoneText'));
    }

    public function testThePromiseCountsOpeningHours(): void
    {
        // Friday 17:30: half an hour is left that day, the rest of the two hours falls on Monday.
        $this->clock->modify('2026-11-27 17:30:00 Europe/Dublin');
        $this->inquire()->ok(201);
        $this->signIn();
        self::assertSame('2026-11-30T09:30:00+00:00', $this->get('/api/submissions')->ok()->text('items.0.clock.dueAt'));
    }

    private function tells(string $staff): void
    {
        $this->db()->executeStatement("UPDATE form_version SET definition = json_set(definition, '$.tell', ?)", [$staff]);
    }
}
