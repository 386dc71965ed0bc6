<?php

declare(strict_types=1);

namespace Telamon\Tests\Intake;

use Symfony\Component\Process\Process;
use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;

/** Answers of every kind, from the public form into the records and back out. */
final class DestinationsTest extends AppTestCase
{
    private const FORM = ['dayOrder' => 'day-first', 'pages' => [['key' => 'one', 'title' => 'All', 'next' => 'Send', 'questions' => [
        ['key' => 'name', 'type' => 'name-parts', 'wording' => 'Your name', 'required' => true, 'destination' => 'client.name'],
        ['key' => 'email', 'type' => 'email', 'wording' => 'Email', 'required' => true, 'destination' => 'client.email'],
        ['key' => 'school', 'type' => 'organisation', 'wording' => 'School', 'destination' => 'client.organisation'],
        ['key' => 'found', 'type' => 'one-of', 'wording' => 'How did you find us?', 'destination' => 'client.tags', 'options' => [['value' => 'f', 'label' => 'Through a friend']]],
        ['key' => 'who', 'type' => 'short-text', 'wording' => 'Who is on site?', 'destination' => 'contact.name'],
        ['key' => 'who_phone', 'type' => 'phone', 'wording' => 'Their phone', 'destination' => 'contact.phone'],
        ['key' => 'floor', 'type' => 'number', 'wording' => 'Floor', 'destination' => 'custom.client.floor'],
        ['key' => 'place', 'type' => 'address-parts', 'wording' => 'Where?', 'destination' => 'client.address'],
        ['key' => 'pianos', 'type' => 'lines', 'wording' => 'Pianos', 'lines' => [
            ['key' => 'make', 'type' => 'short-text', 'wording' => 'Make', 'required' => true, 'destination' => 'asset.make'],
            ['key' => 'serial', 'type' => 'short-text', 'wording' => 'Number', 'destination' => 'asset.serial'],
        ]],
        ['key' => 'when', 'type' => 'day-span', 'wording' => 'When can we come?', 'destination' => 'appointment.wish'],
        ['key' => 'budget', 'type' => 'money', 'wording' => 'Budget', 'destination' => 'project.budget'],
        ['key' => 'todo', 'type' => 'short-text', 'wording' => 'What must we bring?', 'destination' => 'task'],
        ['key' => 'signed', 'type' => 'signature', 'wording' => 'Signed'],
    ]]]];
    private const ANSWERS = [
        'name' => ['given' => 'Orla', 'family' => 'de Fennick'], 'email' => 'orla@example.com', 'school' => 'Quarry Hall', 'found' => 'f',
        'who' => 'Tadg', 'who_phone' => '020 914 3327', 'floor' => '3',
        'place' => ['line' => '7 Weir Cottages', 'locality' => 'Marrowby', 'postalCode' => '', 'country' => ''],
        'pianos' => [['make' => 'Pell', 'serial' => ''], ['make' => 'Thrane', 'serial' => '48217']],
        'when' => ['from' => '01/12/2026', 'to' => '04/12/2026'], 'budget' => '€250', 'todo' => 'A ladder',
        'signed' => ['name' => 'Orla de Fennick', 'how' => 'typed', 'image' => ''],
    ];

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $this->post('/api/setup/custom-fields', ['record' => 'client', 'label' => 'Floor', 'kind' => 'number'])->ok(201);
        $this->publish('All kinds', self::FORM);
    }

    /** Read back by poppler's pdftotext; the digest is worked out here from what was sent. */
    public function testWhatIsSignedInAFormHasAPageOfEvidence(): void
    {
        if (0 !== (new Process(['sh', '-c', 'command -v pdftotext']))->run()) {
            self::markTestSkipped('poppler-utils is missing; bin/test installs it.');
        }
        $this->fill(self::ANSWERS)->ok(201);
        $text = $this->pdf();
        $answers = self::ANSWERS;
        ksort($answers);
        foreach ([
            'What was signed, and how',
            'Question 13: Signed by Orla de Fennick, by typing the name',
            '10:42:00 GMT',
            '127.0.0.0',
            'the form All kinds, version 1',
            ...str_split(hash('sha256', json_encode($answers, \JSON_THROW_ON_ERROR)), 16),
        ] as $words) {
            self::assertStringContainsString($words, $text);
        }
        $this->fill(['signed' => null] + self::ANSWERS)->ok(201);
        self::assertStringNotContainsString('What was signed', $this->pdf());
    }

    private function pdf(): string
    {
        file_put_contents("{$this->data}/sheet.pdf", $this->get('/api/submissions/'.$this->lastSubmission().'/pdf')->ok()->body);

        return (new Process(['pdftotext', '-layout', "{$this->data}/sheet.pdf", '-']))->mustRun()->getOutput();
    }

    public function testEveryAnswerFindsItsPlaceAndCanBeTakenBack(): void
    {
        $this->fill(self::ANSWERS)->ok(201);
        $id = $this->lastSubmission();
        $sheet = $this->get("/api/submissions/$id")->ok();
        self::assertSame("Make: Pell\nMake: Thrane, Number: 48217", $sheet->text('answers.8.text'));
        self::assertSame('7 Weir Cottages, Marrowby', $sheet->text('answers.7.text'));
        self::assertSame('Signed by Orla de Fennick, by typing the name', $sheet->text('answers.12.text'));
        $before = $this->countRows('journal_entry');
        $made = $this->accept($id)->ok()->rows('made');
        self::assertSame(['client', 'contact', 'project', 'asset', 'task', 'message'], array_values(array_unique(array_column($made, 'kind'), \SORT_REGULAR)));
        $client = $this->get('/api/clients/'.$this->id($made, 'client'))->ok();
        self::assertSame(
            ['Orla', 'de Fennick', 'Quarry Hall', '7 Weir Cottages, Marrowby'],
            [$client->text('givenName'), $client->text('familyName'), $client->text('organisation'), $client->text('address')],
        );
        self::assertSame(['Through a friend'], $client->at('tags'));
        self::assertSame([['key' => 'floor', 'label' => 'Floor', 'kind' => 'number', 'value' => '3', 'choices' => []]], $client->rows('custom'));
        self::assertSame(['Tadg', '+353 20 914 3327'], [$client->text('contacts.0.name'), $client->text('contacts.0.phone')]);
        self::assertSame(['Pell', 'Thrane'], $client->column('assets', 'make'));
        self::assertSame(['', '48217'], $client->column('assets', 'serialNumber'));
        $project = $this->get('/api/projects/'.$this->id($made, 'project'))->ok();
        self::assertSame('€250', $project->text('budget'));
        self::assertSame([['kind' => 'appointment', 'text' => 'When can we come? 01/12/2026 to 04/12/2026']], $project->rows('wishes'));
        self::assertSame('Pell', $project->text('asset.description'), 'the first is what the project is about');
        self::assertContains('A ladder', $this->get("/api/tasks?project={$this->id($made, 'project')}")->ok()->column('items', 'name'));
        self::assertGreaterThan($before, $this->countRows('journal_entry'));

        $this->post("/api/submissions/$id/undo")->ok();
        foreach (['contact', 'asset', 'project', 'task', 'client'] as $table) {
            self::assertSame(0, $this->countRows($table), $table);
        }
    }

    public function testAKnownClientIsFilledUpNeverOverwritten(): void
    {
        $this->fill(self::ANSWERS)->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->clock->modify('+1 hour');
        $this->fill(['school' => 'Weir School', 'floor' => '4', 'found' => null, 'pianos' => [['make' => 'Steel', 'serial' => '48 217']]] + self::ANSWERS)->ok(201);
        $id = $this->lastSubmission();
        $words = array_map(
            static fn (array $line): string => implode('', array_column(\is_array($line['parts']) ? $line['parts'] : [], 'text')),
            $this->get("/api/submissions/$id")->ok()->rows('plan.lines'),
        );
        self::assertContains('Organisation stays Quarry Hall; they wrote Weir School', $words);
        self::assertContains('Floor stays 3; they wrote 4', $words);
        self::assertContains('The piano on file: Thrane', $words);
        $made = $this->accept($id)->ok()->rows('made');
        $client = $this->get('/api/clients/'.$this->id($made, 'client'))->ok();
        self::assertSame(['Quarry Hall', '3'], [$client->text('organisation'), $client->text('custom.0.value')]);
        self::assertCount(2, $client->rows('assets'));
    }

    public function testWhatIsWrongInATableSaysWhere(): void
    {
        $violations = $this->fill(['pianos' => [['make' => 'Pell'], ['serial' => '1']]] + self::ANSWERS)->ok(422)->violations();
        self::assertSame(['pianos.1.make' => 'This is needed.'], $violations);
        self::assertSame(0, $this->countRows('submission'));
    }

    public function testADrawnSignatureIsKeptWithTheSubmission(): void
    {
        $png = "{$this->data}/signature.png";
        $image = imagecreatetruecolor(60, 20);
        self::assertNotFalse($image);
        imagepng($image, $png);
        $upload = $this->upload($png, 'signature.png')->ok(201)->text('id');
        $signed = ['name' => 'Orla', 'how' => 'drawn', 'image' => $upload];
        $this->fill(['signed' => $signed] + self::ANSWERS)->ok(201);
        $sheet = $this->get('/api/submissions/'.$this->lastSubmission())->ok();
        self::assertSame('signature.png', $sheet->text('answers.12.files.0.name'));
        self::assertSame(
            ['signed' => 'A file is no longer here. Add it again.'],
            $this->fill(['signed' => $signed] + self::ANSWERS)->ok(422)->violations(),
            'it belongs to one submission',
        );
    }

    public function testAFieldThatIsNotThereIsSaidBeforePublishing(): void
    {
        $form = $this->post('/api/forms', ['title' => 'Odd'])->ok(201);
        $definition = self::FORM;
        $definition['pages'][0]['questions'][6]['destination'] = 'custom.client.gone';
        $kept = $this->call('PUT', '/api/forms/'.$form->text('id'), ['version' => $form->number('version'), 'definition' => $definition])->ok();
        self::assertSame(['“Floor” goes to a field that is not there any more. Its answers would stand in the project’s notes.'], $kept->at('advice'));
    }

    public function testAPlanOfFiveHundredLinesFromTwoHundredAnswers(): void
    {
        $options = array_map(static fn (int $i): array => ['value' => "w$i", 'label' => "Wish $i"], range(1, 300));
        $questions = [
            ['key' => 'name', 'type' => 'person-name', 'wording' => 'Your name', 'required' => true, 'destination' => 'client.name'],
            ['key' => 'wishes', 'type' => 'any-of', 'wording' => 'Wishes', 'options' => $options, 'destination' => 'task'],
        ];
        $answers = ['name' => 'Tess Quill', 'wishes' => array_column($options, 'value')];
        for ($i = 1; $i <= 198; ++$i) {
            $questions[] = ['key' => "q$i", 'type' => 'short-text', 'wording' => "Question $i", 'destination' => 'task'];
            $answers["q$i"] = "Task of answer $i";
        }
        $this->publish('Long', ['pages' => [['key' => 'one', 'title' => 'All', 'next' => 'Send', 'questions' => $questions]]]);
        $this->post('/api/public/forms/long/submissions', ['answers' => $answers])->ok(201);
        $id = $this->lastSubmission();
        self::assertGreaterThan(500, \count($this->get("/api/submissions/$id")->ok()->rows('plan.lines')));
        $this->accept($id)->ok();
        self::assertGreaterThan(498, $this->countRows('task'));
        $this->post("/api/submissions/$id/undo")->ok();
        self::assertSame([0, 0], [$this->countRows('task'), $this->countRows('client')]);
    }

    /** @param array<string, mixed> $answers */
    private function fill(array $answers): Answer
    {
        return $this->post('/api/public/forms/all-kinds/submissions', ['answers' => array_filter($answers, static fn (mixed $a): bool => null !== $a)]);
    }

    /** @param list<array<array-key, mixed>> $made */
    private function id(array $made, string $kind): string
    {
        foreach ($made as $record) {
            if ($record['kind'] === $kind && \is_string($record['id'])) {
                return $record['id'];
            }
        }
        self::fail("no $kind was made");
    }
}
