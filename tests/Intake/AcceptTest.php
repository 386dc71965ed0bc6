<?php

declare(strict_types=1);

namespace Telamon\Tests\Intake;

use Telamon\Tests\Support\AppTestCase;

final class AcceptTest extends AppTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    /** “The piano on file” is shown with its client: it has no page of its own. */
    public function testRecordsThatAPlanNamesLeadToWhereTheyAreShown(): void
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->clock->modify('+60 days');
        $this->inquire(['matter' => 'It squeaks now.'])->ok(201);
        $paths = [];
        foreach ($this->get('/api/submissions/'.$this->lastSubmission())->ok()->rows('plan.lines') as $line) {
            foreach (\is_array($line['parts'] ?? null) ? $line['parts'] : [] as $part) {
                if (\is_array($part) && \is_array($part['record'] ?? null) && \is_string($part['record']['kind'])) {
                    $paths[$part['record']['kind']] = $part['record']['path'];
                }
            }
        }
        $client = $this->db()->fetchOne('SELECT id FROM client');
        self::assertIsString($client);
        self::assertSame("/clients/$client", $paths['client'] ?? null);
        self::assertSame("/clients/$client", $paths['asset'] ?? null);
    }

    public function testOneKeyMakesEverything(): void
    {
        $this->inquire(['wanted_by' => '12 June 2027'])->ok(201);
        $id = $this->lastSubmission();
        $answer = $this->accept($id)->ok();
        $kinds = array_count_values(array_map(static fn (mixed $kind): string => \is_string($kind) ? $kind : '', $answer->column('made', 'kind')));
        self::assertSame(['client' => 1, 'project' => 1, 'asset' => 1, 'task' => 7, 'message' => 2], $kinds);

        $submission = $this->get("/api/submissions/$id")->ok();
        self::assertSame('accepted', $submission->text('state'));
        self::assertSame('Nessa Quarle', $submission->text('decidedBy'));
        self::assertSame('stopped', $submission->text('clock.state'));
        self::assertNull($submission->at('plan'));

        $client = $this->get('/api/clients/'.$this->get('/api/clients')->ok()->text('items.0.id'))->ok();
        self::assertSame('Orla', $client->text('givenName'));
        self::assertSame(['orla.fennick@example.com', '+353209143327'], $client->column('contactPoints', 'value'));
        self::assertSame('2026-11-25', $client->text('since'));
        self::assertSame('Pell & Thrane upright', $client->text('assets.0.description'));

        $project = $this->get('/api/projects/'.$this->get('/api/projects?client='.$client->text('id'))->ok()->text('items.0.id'))->ok();
        self::assertSame(['A-0001'], $this->get('/api/submissions?client='.$client->text('id'))->ok()->column('items', 'number'));
        self::assertCount(2, $this->get('/api/messages?project='.$project->text('id'))->ok()->rows('items'));
        self::assertSame('P-0001', $project->text('number'));
        self::assertSame('Inquiry', $project->text('stage'));
        self::assertSame('Sorcha Vell', $project->text('lead'));
        self::assertSame('2027-06-12', $project->text('readyBy'));
        self::assertStringContainsString('Several keys stick.', $project->text('notes'));
        self::assertSame($id, $project->text('submission.id'));

        $tasks = $this->get('/api/tasks?project='.$project->text('id'))->ok();
        self::assertSame(
            ['First talk', 'Look at the piano', 'Write the price', 'Send the agreement', 'Send the preparation form', 'Ask for the deposit', 'Order the parts'],
            $tasks->column('items', 'name'),
        );
        self::assertSame(range(1, 7), $tasks->column('items', 'position'));
        self::assertSame('2026-11-26', $tasks->text('items.0.due'));
        self::assertSame(['to-do', 'waiting', 'waiting', 'waiting', 'waiting', 'waiting', 'waiting'], $tasks->column('items', 'state'));
        // Ten working days before Saturday 12 June 2027, which counts as Friday the 11th: Friday 28 May.
        self::assertSame('2027-05-28', $tasks->text('items.6.due'));
    }

    public function testPhotographsGoToProjectAndAsset(): void
    {
        $image = imagecreatetruecolor(20, 20);
        self::assertNotFalse($image);
        imagepng($image, "{$this->data}/p.png");
        $upload = $this->upload("{$this->data}/p.png", 'keys.png')->ok(201)->text('id');
        $this->inquire(['photos' => [$upload]])->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $row = $this->db()->fetchAssociative('SELECT client_id, project_id, asset_id FROM attachment');
        self::assertIsArray($row);
        self::assertNotContains(null, $row);
        self::assertSame('keys.png', $this->get('/api/files?project='.$this->get('/api/projects')->ok()->text('items.0.id'))->ok()->text('items.0.name'));
        $this->get('/api/files')->ok(422);
        $this->get('/api/files?client=everybody')->ok(422);
    }

    public function testTheSameAddressIsTheSameClient(): void
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->inquire(['email' => 'Orla.Fennick@EXAMPLE.com', 'phone' => '020 915 0000', 'piano' => 'Halk & Roe square'])->ok(201);
        $plan = $this->get('/api/submissions/'.$this->lastSubmission())->ok();
        self::assertSame('same', $plan->text('plan.lines.0.choice.chosen'));
        self::assertSame(['Name', 'Email', 'Phone', 'Where it stands'], $plan->column('plan.lines.0.compared', 'field'));
        $this->accept($this->lastSubmission())->ok();
        self::assertSame(
            ['client', 'project'],
            \array_slice($this->get('/api/submissions/'.$this->lastSubmission())->ok()->column('made', 'kind'), 0, 2),
            'the client on file is named too',
        );
        self::assertSame(1, $this->countRows('client'));
        self::assertSame(2, $this->countRows('asset'));
        self::assertSame(3, $this->countRows('contact_point'));
    }

    public function testTheSameAddressMayBeANewClientIfSheSaysSo(): void
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->inquire(['name' => 'Dara Fennick'])->ok(201);
        $this->accept($this->lastSubmission(), ['client' => 'new'])->ok();
        self::assertSame(2, $this->countRows('client'));
    }

    public function testAnAmbiguousDayWaitsForAChoice(): void
    {
        $this->inquire(['wanted_by' => '04/05/2027'])->ok(201);
        $id = $this->lastSubmission();
        self::assertSame(1, $this->get('/api/submissions')->ok()->number('items.0.toDecide'));
        self::assertSame(['decisions.ready_by' => 'Choose one.'], $this->accept($id)->ok(422)->violations());
        self::assertSame(0, $this->countRows('project'));
        $this->accept($id, ['ready_by' => '2027-05-04'])->ok();
        self::assertSame('2027-05-04', $this->get('/api/projects')->ok()->text('items.0.readyBy'));
    }

    public function testChoosingShowsWhatDependsOnIt(): void
    {
        $this->inquire(['wanted_by' => '04/05/2027'])->ok(201);
        $id = $this->lastSubmission();
        $before = $this->get("/api/submissions/$id")->ok();
        $after = $this->call('PUT', "/api/submissions/$id/decisions", ['version' => 0, 'choices' => ['ready_by' => '2027-05-04']])->ok();
        self::assertSame(1, $before->number('plan.open'));
        self::assertSame(0, $after->number('plan.open'));
        self::assertSame($before->text('plan.fingerprint'), $after->text('plan.fingerprint'));
        self::assertSame('waiting', $this->get("/api/submissions/$id")->ok()->text('state'));
    }

    public function testAChoiceThatIsNotOfferedIsRefused(): void
    {
        $this->inquire(['wanted_by' => '04/05/2027'])->ok(201);
        $id = $this->lastSubmission();
        self::assertArrayHasKey('decisions.ready_by', $this->accept($id, ['ready_by' => '2027-01-01'])->ok(422)->violations());
        self::assertArrayHasKey('decisions.magic', $this->accept($id, ['magic' => 'yes'])->ok(422)->violations());
        $this->post("/api/submissions/$id/accept", ['fingerprint' => 'x', 'decisions' => 'none'])->ok(422);
    }

    public function testASecondAcceptIsRefusedAndMakesNothing(): void
    {
        $this->inquire()->ok(201);
        $id = $this->lastSubmission();
        $fingerprint = $this->get("/api/submissions/$id")->ok()->text('plan.fingerprint');
        $this->post("/api/submissions/$id/accept", ['fingerprint' => $fingerprint])->ok();
        $again = $this->post("/api/submissions/$id/accept", ['fingerprint' => $fingerprint])->ok(409);
        self::assertStringContainsString('Nessa Quarle accepted this at 10:42', $again->text('detail'));
        self::assertSame(1, $this->countRows('project'));
        self::assertSame(2, $this->countRows('message'));
    }

    public function testAPlanThatHasChangedIsRefused(): void
    {
        $this->inquire()->ok(201);
        $first = $this->lastSubmission();
        $this->inquire()->ok(201);
        $second = $this->lastSubmission();
        $seen = $this->get("/api/submissions/$second")->ok()->text('plan.fingerprint');
        // Accepting the first puts the client on file; the second's plan is another now.
        $this->accept($first)->ok();
        $this->post("/api/submissions/$second/accept", ['fingerprint' => $seen])->ok(409);
        self::assertSame(1, $this->countRows('project'));
        $this->accept($second)->ok();
        self::assertSame(1, $this->countRows('client'));
    }

    public function testSettingAsideMakesNothing(): void
    {
        $this->inquire()->ok(201);
        $id = $this->lastSubmission();
        $this->post("/api/submissions/$id/set-aside", ['reason' => 'no reason'])->ok(422);
        $row = $this->post("/api/submissions/$id/set-aside", ['reason' => 'advertising', 'note' => 'Third this week'])->ok();
        self::assertSame('set-aside', $row->text('state'));
        self::assertSame('Third this week', $row->text('aside.note'));
        self::assertSame([], $this->get('/api/submissions?state=waiting')->ok()->rows('items'));
        self::assertCount(1, $this->get('/api/submissions?state=set-aside')->ok()->rows('items'));
        self::assertSame(0, $this->countRows('client'));
        $this->post("/api/submissions/$id/set-aside", ['reason' => 'test'])->ok(409);
        $this->post("/api/submissions/$id/undo")->ok();
        self::assertSame('waiting', $this->get("/api/submissions/$id")->ok()->text('state'));
    }

    public function testTheListPagesBySoonestDue(): void
    {
        for ($i = 0; $i < 53; ++$i) {
            $this->clock->modify('+1 minute');
            $this->inquire()->ok(201);
        }
        $first = $this->get('/api/submissions')->ok();
        self::assertCount(50, $first->rows('items'));
        self::assertSame('A-0001', $first->text('items.0.number'));
        self::assertSame(53, $first->number('counts.waiting'));
        $second = $this->get('/api/submissions?cursor='.$first->text('next'))->ok();
        self::assertSame(['A-0051', 'A-0052', 'A-0053'], $second->column('items', 'number'));
        self::assertNull($second->at('next'));
        $this->get('/api/submissions?cursor=nonsense')->ok(422);
        $this->get('/api/submissions?state=lost')->ok(422);
    }

    public function testMarkupInANameStaysText(): void
    {
        $this->inquire(['name' => '<img src=x onerror=alert(1)> Fennick'])->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->work();
        $message = $this->get('/api/messages/'.$this->get('/api/messages')->ok()->text('items.1.id'))->ok();
        $eml = $this->get('/api/messages/'.$message->text('id').'/eml')->ok();
        self::assertStringNotContainsString('<img src=x', quoted_printable_decode(explode('text/html', $eml->body)[1] ?? ''));
    }
}
