<?php

declare(strict_types=1);

namespace Telamon\Tests\Forms;

use Symfony\Component\Process\Process;
use Telamon\Tests\Support\AppTestCase;

final class TableTest extends AppTestCase
{
    private string $form;

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $id = $this->db()->fetchOne("SELECT id FROM form WHERE slug = 'piano-inquiry'");
        self::assertIsString($id);
        $this->form = $id;
    }

    public function testQuestionsAreColumnsAcrossVersions(): void
    {
        $this->inquire(['matter' => 'First'])->ok(201);
        $draft = $this->get("/api/forms/{$this->form}")->ok();
        $text = str_replace(['"key":"matter"', 'What is the matter with it?'], ['"key":"ailment"', 'What ails it?'], json_encode($draft->map('definition'), \JSON_THROW_ON_ERROR));
        $kept = $this->call('PUT', "/api/forms/{$this->form}", ['version' => $draft->number('version'), 'definition' => json_decode($text, true)])->ok();
        $this->post("/api/forms/{$this->form}/publish", ['version' => $kept->number('version')])->ok();
        $this->clock->modify('+1 minute');
        $this->inquire(['matter' => null, 'ailment' => 'Second'])->ok(201);

        $table = $this->get("/api/forms/{$this->form}/submissions")->ok();
        self::assertSame(
            ['What ails it?', 'What is the matter with it?'],
            array_values(array_filter(
                $table->column('columns', 'wording'),
                static fn (mixed $w): bool => \is_string($w) && str_contains($w, 'it?') && !str_contains($w, 'is it?'),
            )),
        );
        self::assertSame(['A-0002', 'A-0001'], $table->column('items', 'number'));
        self::assertSame([2, 1], $table->column('items', 'version'));
        self::assertSame('Second', $table->text('items.0.answers.ailment'));
        self::assertSame('First', $table->text('items.1.answers.matter'));
        self::assertSame('Repair it', $table->text('items.0.answers.service'), 'choices by their labels');
    }

    public function testItIsSearchedAndFiltered(): void
    {
        $this->inquire(['matter' => 'Ó, the 100% “squeak” \\ back'])->ok(201);
        $this->inquire(['name' => 'Wilf Ambry', 'email' => 'wilf@example.com', 'matter' => 'Dull'])->ok(201);
        foreach (['squeak', 'Ó, the', '100%', 'fennick', 'SQUEAK'] as $q) {
            self::assertSame(['A-0001'], $this->get("/api/forms/{$this->form}/submissions?q=".rawurlencode($q))->ok()->column('items', 'number'), $q);
        }
        self::assertSame([], $this->get("/api/forms/{$this->form}/submissions?q=nobody")->ok()->rows('items'));
        self::assertSame([], $this->get("/api/forms/{$this->form}/submissions?state=accepted")->ok()->rows('items'));
        self::assertCount(2, $this->get("/api/forms/{$this->form}/submissions?state=waiting")->ok()->rows('items'));
    }

    /** Read back by Python's csv module (RFC 4180), which shares no code with ours. */
    public function testTheCsvIsReadBackByAnIndependentParserAndHoldsNoFormula(): void
    {
        $this->inquire(['name' => '=cmd|calc!A1 X', 'matter' => "Two\nlines, a \"quote\"; and Ó"])->ok(201);
        $csv = $this->get("/api/forms/{$this->form}/submissions/csv")->ok();
        self::assertStringContainsString('piano-inquiry.csv', $csv->headers['content-disposition']);
        $python = new Process(
            ['python3', '-c', 'import sys, csv, json, io; print(json.dumps(list(csv.reader(io.StringIO(sys.stdin.buffer.read().decode("utf-8"), newline="")))))'],
            input: $csv->body,
        );
        $python->mustRun();
        /** @var list<list<string>> $rows */
        $rows = json_decode($python->getOutput(), true, 8, \JSON_THROW_ON_ERROR);
        self::assertCount(2, $rows);
        self::assertCount(13, $rows[0]);
        $row = array_combine($rows[0], $rows[1]);
        self::assertSame("'=cmd|calc!A1 X", $row['Your name']);
        self::assertSame("Two\nlines, a \"quote\"; and Ó", $row['What is the matter with it?']);
        foreach (\array_slice($rows, 1) as $cells) {
            foreach ($cells as $cell) {
                self::assertDoesNotMatchRegularExpression('/^[=+\-@\t\r]/', $cell);
            }
        }
    }

    public function testTheJsonHoldsWhatIsFiltered(): void
    {
        $this->inquire()->ok(201);
        $this->inquire(['name' => 'Wilf Ambry'])->ok(201);
        /** @var list<array{number: string}> $rows */
        $rows = json_decode($this->get("/api/forms/{$this->form}/submissions/json?q=ambry")->ok()->body, true, 8, \JSON_THROW_ON_ERROR);
        self::assertSame(['A-0002'], array_column($rows, 'number'));
        self::assertSame("[\n]\n", $this->get("/api/forms/{$this->form}/submissions/json?q=zzz")->ok()->body);
    }

    public function testItPages(): void
    {
        for ($i = 0; $i < 52; ++$i) {
            $this->clock->modify('+1 minute');
            $this->inquire()->ok(201);
        }
        $first = $this->get("/api/forms/{$this->form}/submissions")->ok();
        self::assertCount(50, $first->rows('items'));
        self::assertSame(['A-0002', 'A-0001'], $this->get("/api/forms/{$this->form}/submissions?cursor=".$first->text('next'))->ok()->column('items', 'number'));
        self::assertSame(54, substr_count($this->get("/api/forms/{$this->form}/submissions/csv")->ok()->body, "\r\n") + 1);
    }

    public function testItIsSortedByAnyColumnAndPagesInThatOrder(): void
    {
        foreach (['Wilf', 'anna', 'Bríd', 'Zoë'] as $name) {
            $this->clock->modify('+1 minute');
            $this->inquire(['name' => $name, 'matter' => 'anna' === $name ? null : "About $name"])->ok(201);
        }
        $names = fn (string $sort): array => array_map(
            static fn (mixed $answers): mixed => \is_array($answers) ? $answers['name'] : null,
            $this->get("/api/forms/{$this->form}/submissions?sort=$sort")->ok()->column('items', 'answers'),
        );
        self::assertSame(['anna', 'Bríd', 'Wilf', 'Zoë'], $names('answer:name'));
        self::assertSame(['Zoë', 'Wilf', 'Bríd', 'anna'], $names('-answer:name'));
        self::assertSame(['Bríd', 'Wilf', 'Zoë', 'anna'], $names('answer:matter'), 'blank comes last');
        self::assertSame(['Zoë', 'Wilf', 'Bríd', 'anna'], $names('-answer:matter'), 'whichever way the others stand');
        self::assertSame(['anna', 'Bríd', 'Wilf', 'Zoë'], $names('name'));
        self::assertSame(['Wilf', 'anna', 'Bríd', 'Zoë'], $names('received'));
        self::assertSame(['Zoë', 'Bríd', 'anna', 'Wilf'], $names('-number'));
        $this->get("/api/forms/{$this->form}/submissions?sort=answer:none")->ok(422);
        $this->get("/api/forms/{$this->form}/submissions/csv?sort=secret")->ok(422);

        for ($i = 0; $i < 50; ++$i) {
            $this->inquire(['name' => "M $i"])->ok(201);
        }
        $first = $this->get("/api/forms/{$this->form}/submissions?sort=answer:name")->ok();
        $second = $this->get("/api/forms/{$this->form}/submissions?sort=answer:name&cursor=".$first->text('next'))->ok();
        self::assertCount(54, array_unique([...$first->column('items', 'number'), ...$second->column('items', 'number')], \SORT_REGULAR));
        self::assertNull($second->at('next'));
    }

    public function testPagesGoOnFromThoseThatAnsweredToThoseThatDidNot(): void
    {
        for ($i = 0; $i < 110; ++$i) {
            $this->clock->modify('+1 minute');
            $this->inquire(['name' => "M $i", 'matter' => $i < 60 ? \sprintf('%03d', $i) : null])->ok(201);
        }
        $seen = [];
        $cursor = '';
        do {
            $page = $this->get("/api/forms/{$this->form}/submissions?sort=-answer:matter$cursor")->ok();
            $seen = [...$seen, ...array_map(static fn (mixed $answers): mixed => \is_array($answers) ? $answers['name'] : null, $page->column('items', 'answers'))];
            $cursor = null === $page->at('next') ? '' : '&cursor='.$page->text('next');
        } while ('' !== $cursor);
        self::assertSame([...array_map(static fn (int $i): string => "M $i", range(59, 0)), ...array_map(static fn (int $i): string => "M $i", range(109, 60))], $seen);
    }

    public function testWhatIsLookedForAndPutInOrderGoTogether(): void
    {
        foreach ([['b', 'Squeaks'], ['c', 'Dull'], ['a', 'squeaky'], ['d', 'A squeak']] as [$name, $matter]) {
            $this->clock->modify('+1 minute');
            $this->inquire(['name' => $name, 'matter' => $matter])->ok(201);
        }
        $names = fn (string $query): array => array_map(
            static fn (mixed $answers): mixed => \is_array($answers) ? $answers['name'] : null,
            $this->get("/api/forms/{$this->form}/submissions?$query")->ok()->column('items', 'answers'),
        );
        self::assertSame(['a', 'b', 'd'], $names('q=squeak&sort=answer:name'));
        self::assertSame(['d', 'b', 'a'], $names('q=squeak&sort=-answer:name&state=waiting'));
        self::assertSame(['d', 'a', 'b'], $names('q=SQUEAK'));
        self::assertSame(['b', 'a', 'd'], $names('q=squeak&sort=received'));
        self::assertSame(['c'], $names('q=A-0002'), 'by number too');
        self::assertSame([], $names('q=option_1'));
        self::assertSame([], $names('q=matter'), 'not by what stands behind');
        self::assertCount(3, $names('q=squeak&sort=state'));
        self::assertCount(4, $names('q=%21%21'), 'signs alone leave nothing out');
    }

    public function testAChoiceThatIsCalledOtherwiseIsFoundByItsNewName(): void
    {
        $what = [
            'key' => 'what',
            'type' => 'one-of',
            'wording' => 'What?',
            'options' => [['value' => 'c_1', 'label' => 'Zither'], ['value' => 'c_2', 'label' => 'Harp'], ['value' => 'c_3', 'label' => 'Lute']],
        ];
        $this->design('Renamed', [['key' => 'cost', 'type' => 'short-text', 'wording' => 'Name'], $what]);
        foreach (['c_1', 'c_2', 'c_3'] as $value) {
            $this->post('/api/public/forms/renamed/submissions', ['answers' => ['cost' => "chose $value", 'what' => $value]])->ok(201);
        }
        $id = $this->db()->fetchOne("SELECT id FROM form WHERE slug = 'renamed'");
        self::assertIsString($id);
        $draft = $this->get("/api/forms/$id")->ok();
        $text = str_replace([',{"value":"c_3","label":"Lute"}', 'Zither'], ['', 'Bagpipe'], json_encode($draft->map('definition'), \JSON_THROW_ON_ERROR));
        $kept = $this->call('PUT', "/api/forms/$id", ['version' => $draft->number('version'), 'definition' => json_decode($text, true)])->ok();
        $this->post("/api/forms/$id/publish", ['version' => $kept->number('version')])->ok();
        $this->work();

        $by = fn (string $query): array => array_map(
            static fn (mixed $answers): mixed => \is_array($answers) ? $answers['what'] : null,
            $this->get("/api/forms/$id/submissions?$query")->ok()->column('items', 'answers'),
        );
        self::assertSame(['Bagpipe', 'Harp', 'Lute'], $by('sort=answer:what'), 'one that is offered no longer keeps its name');
        self::assertSame(['Bagpipe'], $by('q=bagpipe'));
        self::assertSame([], $by('q=zither'));
        $counts = $this->get("/api/forms/$id/figures")->ok();
        self::assertSame([1, 1, 1], $counts->column('questions.0.counts', 'count'), 'counted once, though read twice');
        self::assertSame(3, $counts->number('questions.0.answered'));
    }

    public function testNumbersAreSortedBySize(): void
    {
        $this->design('Numbers', [['key' => 'n', 'type' => 'number', 'wording' => 'How many?']]);
        foreach (['9', '100', '-3'] as $n) {
            $this->post('/api/public/forms/numbers/submissions', ['answers' => ['n' => $n]])->ok(201);
        }
        $id = $this->db()->fetchOne("SELECT id FROM form WHERE slug = 'numbers'");
        self::assertIsString($id);
        self::assertSame(
            ['-3', '9', '100'],
            array_map(
                static fn (mixed $answers): mixed => \is_array($answers) ? $answers['n'] : null,
                $this->get("/api/forms/$id/submissions?sort=answer:n")->ok()->column('items', 'answers'),
            ),
        );
    }

    public function testAmountsAndDaysAreSortedByWhatTheySayAndChoicesFoundByWhatPeopleSee(): void
    {
        $this->design('Sorting', [
            ['key' => 'cost', 'type' => 'short-text', 'wording' => 'Name'],
            ['key' => 'money', 'type' => 'money', 'wording' => 'Do you have a budget in mind?'],
            ['key' => 'day', 'type' => 'day', 'wording' => 'When?'],
            ['key' => 'what', 'type' => 'one-of', 'wording' => 'What?', 'options' => [['value' => 'c_1', 'label' => 'Zither'], ['value' => 'c_2', 'label' => 'Accordéon']]],
        ]);
        foreach ([['Séamus', '1.250,50', '12 June 2027', 'c_1'], ['b', '€200', '2027-01-02', 'c_2'], ['c', '1,100', '3 December 2026', 'c_1']] as [$name, $money, $day, $what]) {
            $this->post('/api/public/forms/sorting/submissions', ['answers' => ['cost' => $name, 'money' => $money, 'day' => $day, 'what' => $what]])->ok(201);
        }
        $id = $this->db()->fetchOne("SELECT id FROM form WHERE slug = 'sorting'");
        self::assertIsString($id);
        $by = fn (string $query): array => array_map(static fn (mixed $answers): mixed => \is_array($answers) ? $answers['cost'] : null, $this->get("/api/forms/$id/submissions?$query")->ok()->column('items', 'answers'));
        self::assertSame(['b', 'c', 'Séamus'], $by('sort=answer:money'));
        self::assertSame(['c', 'b', 'Séamus'], $by('sort=answer:day'));
        self::assertSame('b', $by('sort=answer:what')[0]);
        self::assertSame(['Séamus'], $by('q=seamus'));
        self::assertSame(['b'], $by('q=accord%C3%A9on'));
        self::assertSame(['b'], $by('q=accordeon'));
        self::assertSame('850.17', $this->get("/api/forms/$id/figures")->ok()->at('questions.0.numbers.mean'));
    }

    public function testAWayOfLookingIsKeptUnderAName(): void
    {
        $filter = ['q' => 'squeak', 'state' => 'waiting', 'sort' => '-answer:name', 'hidden' => ['email']];
        $views = "/api/forms/{$this->form}/views";
        $kept = $this->post($views, ['name' => 'Squeaks', 'filter' => $filter])->ok(201);
        $this->post($views, ['name' => 'Squeaks', 'filter' => ['q' => 'squeal'] + $filter])->ok(201);
        self::assertSame([['id' => $kept->text('id'), 'name' => 'Squeaks', 'filter' => ['q' => 'squeal'] + $filter]], $this->get($views)->ok()->rows('items'));
        $this->post($views, ['name' => ' ', 'filter' => $filter])->ok(422);
        $this->post($views, ['name' => 'X', 'filter' => ['state' => 'gone'] + $filter])->ok(422);
        $this->call('DELETE', "$views/{$kept->text('id')}")->ok(204);
        $this->call('DELETE', "$views/{$kept->text('id')}")->ok(404);
        self::assertSame([], $this->get($views)->ok()->rows('items'));
    }

    public function testTheAnswersAreCounted(): void
    {
        foreach (['repair', 'repair', 'tuning'] as $i => $service) {
            $this->inquire(['service' => $service, 'name' => "Caller $i"])->ok(201);
        }
        $figures = $this->get("/api/forms/{$this->form}/figures")->ok();
        self::assertSame(3, $figures->number('submissions'));
        self::assertSame(['service'], $figures->column('questions', 'key'), 'texts are not counted');
        self::assertSame([1, 2, 0, 0, 0], $figures->column('questions.0.counts', 'count'));
        self::assertSame(1, $this->get("/api/forms/{$this->form}/figures?q=tune")->ok()->number('submissions'));
    }

    /** Read back by Python's zipfile and ElementTree, which share no code with ours. */
    public function testTheWorkbookIsReadBackAndHoldsNoFormula(): void
    {
        $this->inquire(['name' => '=1+1 X', 'matter' => "Ó <&> \"x\"\nnext"])->ok(201);
        $answer = $this->get("/api/forms/{$this->form}/submissions/xlsx")->ok();
        self::assertStringContainsString('piano-inquiry.xlsx', $answer->headers['content-disposition']);
        $script = 'import sys,io,zipfile,json; import xml.etree.ElementTree as E; z=zipfile.ZipFile(io.BytesIO(sys.stdin.buffer.read())); assert z.testzip() is None; [E.fromstring(z.read(n)) for n in z.namelist()]; '
            .'t="{http://schemas.openxmlformats.org/spreadsheetml/2006/main}"; s=E.fromstring(z.read("xl/worksheets/sheet1.xml")); assert not list(s.iter(t+"f")); print(json.dumps([["".join(c.itertext()) for c in r] for r in s.iter(t+"row")]))';
        $python = new Process(['python3', '-c', $script], input: $answer->body);
        /** @var list<list<string>> $rows */
        $rows = json_decode($python->mustRun()->getOutput(), true, 8, \JSON_THROW_ON_ERROR);
        $row = array_combine($rows[0], $rows[1]);
        self::assertSame('=1+1 X', $row['Your name']);
        self::assertSame("Ó <&> \"x\"\nnext", $row['What is the matter with it?']);
    }

    /** @param list<array<string, mixed>> $questions */
    private function design(string $title, array $questions): void
    {
        $form = $this->post('/api/forms', ['title' => $title])->ok(201);
        $kept = $this->call('PUT', '/api/forms/'.$form->text('id'), ['version' => $form->number('version'), 'definition' => ['title' => $title, 'purpose' => 'open', 'pages' => [['key' => 'p', 'title' => 'P', 'next' => 'Send', 'questions' => $questions]]]])->ok();
        $this->post('/api/forms/'.$form->text('id').'/publish', ['version' => $kept->number('version')])->ok();
    }
}
