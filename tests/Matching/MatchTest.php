<?php

declare(strict_types=1);

namespace Telamon\Tests\Matching;

use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\CommandRun;

final class MatchTest extends AppTestCase
{
    use CommandRun;

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
    }

    public function testAShortFormAndANewPhoneAreStillTheSame(): void
    {
        $this->inquire(['name' => 'O. Fennick', 'phone' => '020 915 1111'])->ok(201);
        $line = $this->clientLine();
        self::assertSame('Same person as Orla Fennick, client since 2026', self::words($line));
        self::assertMatchesRegularExpression('/^(over )?9\d % one person: same mail/', self::text($line, 'reason'));
    }

    public function testSomebodyAlikeIsAskedAboutAndTheAnswerHolds(): void
    {
        $this->inquire(['name' => 'Orla Ambry', 'phone' => '020 915 1111', 'place' => '9 Mill Race, Saltfold'])->ok(201);
        $id = $this->lastSubmission();
        $line = $this->clientLine();
        self::assertSame('Is Orla Ambry the same person as Orla Fennick, a client since 2026?', self::words($line));
        self::assertSame(0, $this->get('/api/submissions')->ok()->number('items.0.toDecide'));
        $this->work();
        self::assertSame(1, $this->get('/api/submissions')->ok()->number('items.0.toDecide'), 'the list says so once the worker has looked');
        $this->accept($id)->ok(422);
        $this->accept($id, ['client' => 'same'])->ok();
        self::assertSame(1, $this->countRows('client'));
    }

    public function testAnotherOfTheHouseholdIsAClientOfTheirOwn(): void
    {
        $this->inquire(['name' => 'Wilf Fennick', 'email' => 'wilf.fennick@example.com'])->ok(201);
        self::assertSame('Link the client to Orla Fennick, the same household', self::words($this->clientLine('client.link')));
        $this->accept($this->lastSubmission())->ok();
        self::assertSame(2, $this->countRows('client'));
        self::assertSame('', trim($this->command('telamon:clients:duplicates')), 'and no duplicate');

        $ids = $this->db()->fetchAllKeyValue('SELECT given_name, id FROM client');
        $links = fn (string $of): array => array_map(
            static fn (array $link): array => [$link['words'], \is_array($link['client']) ? $link['client']['label'] : null],
            $this->get('/api/clients/'.(\is_string($ids[$of] ?? null) ? $ids[$of] : ''))->ok()->rows('links'),
        );
        self::assertSame([['same household as', 'Orla Fennick']], $links('Wilf'));
        self::assertSame([['same household as', 'Wilf Fennick']], $links('Orla'), 'from either side');
        $wilf = \is_string($ids['Wilf'] ?? null) ? $ids['Wilf'] : '';
        $orla = \is_string($ids['Orla'] ?? null) ? $ids['Orla'] : '';
        $merged = $this->post("/api/clients/$orla/merge", ['other' => $wilf, 'take' => []])->ok();
        self::assertSame([], $links('Orla'), 'nobody is linked to themselves');
        $this->post('/api/changes/'.$merged->text('change.id').'/undo')->ok();
        self::assertSame([['same household as', 'Wilf Fennick']], $links('Orla'));
        $this->post('/api/submissions/'.$this->lastSubmission().'/undo')->ok();
        self::assertSame([], $links('Orla'));
    }

    public function testWhoWritesAgainIsOfferedTheWorkThatIsOpen(): void
    {
        $this->inquire(['matter' => 'It also hums.'])->ok(201);
        $id = $this->lastSubmission();
        $lines = array_column($this->get("/api/submissions/$id")->ok()->rows('plan.lines'), null, 'key');
        $project = $this->db()->fetchOne('SELECT id FROM project');
        self::assertIsString($project);
        self::assertIsString($lines['project']['note']);
        self::assertStringContainsString('P-0001 Repair is open since', $lines['project']['note']);
        $tasks = $this->countRows('task');
        $this->accept($id, ['project' => $project])->ok();
        self::assertSame([1, $tasks], [$this->countRows('project'), $this->countRows('task')], 'no other project, no task twice');
        $notes = $this->db()->fetchOne('SELECT notes FROM project');
        self::assertStringContainsString('It also hums.', \is_string($notes) ? $notes : '');
        $this->post("/api/submissions/$id/undo")->ok();
        $notes = $this->db()->fetchOne('SELECT notes FROM project');
        self::assertStringNotContainsString('It also hums.', \is_string($notes) ? $notes : '');
        $this->clock->modify('+31 days');
        $this->signIn();
        $lines = array_column($this->get("/api/submissions/$id")->ok()->rows('plan.lines'), null, 'key');
        self::assertNull($lines['project']['choice'], 'after thirty days it is another matter');
    }

    public function testUndoTakesAClientOutOfTheIndex(): void
    {
        self::assertGreaterThan(0, $this->countRows('match_key'));
        $change = $this->db()->fetchOne("SELECT id FROM change_set WHERE kind = 'accept'");
        self::assertIsString($change);
        $this->post("/api/changes/$change/undo")->ok();
        self::assertSame(0, $this->countRows('match_key'));
    }

    public function testThePlanOfAFileIsThePlanOfTheScreen(): void
    {
        $answers = ['name' => 'Tess Quill', 'email' => 'tess@example.org', 'service' => 'repair', 'matter' => 'It hums.'];
        $file = $this->data.'/plan.json';
        file_put_contents($file, json_encode(['form' => 'piano-inquiry', 'answers' => $answers], \JSON_THROW_ON_ERROR));
        $told = $this->command('telamon:plan', ['file' => $file]);
        self::assertStringContainsString('New client: Tess Quill[1], tess@example.org[2]', $told);
        self::assertStringContainsString('Nothing to decide.', $told);
        $before = $this->countRows('submission');
        $json = json_decode($this->command('telamon:plan', ['file' => $file, '--format' => 'json']), true);
        self::assertSame($before, $this->countRows('submission'));
        $this->inquire($answers + ['phone' => null, 'piano' => null, 'place' => null])->ok(201);
        $plan = $this->get('/api/submissions/'.$this->lastSubmission())->ok()->map('plan');
        self::assertIsArray($json);
        self::assertEquals($plan['lines'], $json['lines']);
    }

    public function testAFileWithoutAPlanSaysWhy(): void
    {
        foreach ([
            '{' => 'no JSON',
            '{"form": "piano-inquiry"}' => 'no answers',
            '{"form": "nowhere", "answers": {}}' => 'No form is published at “nowhere”',
            '{"form": {"pages": 1}, "answers": {}}' => '',
        ] as $content => $words) {
            file_put_contents($file = $this->data.'/plan.json', $content);
            self::assertStringContainsString($words, $this->command('telamon:plan', ['file' => $file], 1));
        }
    }

    public function testWeightsAreLearnedOnlyFromEnough(): void
    {
        self::assertStringContainsString('Nothing can be learned from fewer than 500', $this->command('telamon:clients:learn', [], 1));
        $db = $this->db();
        for ($i = 0; $i < 500; ++$i) {
            $db->insert('client', ['id' => "c$i", 'sort_name' => "f$i", 'given_name' => "Given$i", 'family_name' => 'Byrne', 'address' => '', 'since' => '2026-01-01']);
        }
        self::assertStringContainsString('Nothing was changed', $this->command('telamon:clients:learn'));
        self::assertStringContainsString('from now on', $this->command('telamon:clients:learn', ['--keep' => true]));
        $kept = $db->fetchOne('SELECT match_weights FROM business');
        self::assertStringContainsString('"family":{"same"', \is_string($kept) ? $kept : '');
        $this->command('telamon:clients:learn', ['--usual' => true]);
        self::assertSame('[]', $db->fetchOne('SELECT match_weights FROM business'));
    }

    /** @return array<array-key, mixed> */
    private function clientLine(string $key = 'client'): array
    {
        foreach ($this->get('/api/submissions/'.$this->lastSubmission())->ok()->rows('plan.lines') as $line) {
            if ($key === $line['key']) {
                return $line;
            }
        }
        self::fail('the plan has no line about the client');
    }

    /** @param array<array-key, mixed> $line */
    private static function words(array $line): string
    {
        return implode('', array_column(\is_array($line['parts']) ? $line['parts'] : [], 'text'));
    }

    /** @param array<array-key, mixed> $line */
    private static function text(array $line, string $name): string
    {
        return \is_string($line[$name]) ? $line[$name] : '';
    }
}
