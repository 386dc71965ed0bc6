<?php

declare(strict_types=1);

namespace Telamon\Tests\Tasks;

use PHPUnit\Framework\Attributes\DataProvider;
use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** What a stage needs, the wall, and what comes once a project is done. */
final class StagesAndCareTest extends AppTestCase
{
    use AsksRows;

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    public function testAMoveThatMissesSomethingSaysSoAndAnOwnerGoesOnWithAReason(): void
    {
        $project = $this->project();
        $stage = $this->id("SELECT id FROM stage WHERE name = 'Workshop'");
        $this->call('PUT', "/api/setup/stages/$stage", ['needs' => ['agreement', 'ready-by']])->ok();
        self::assertSame('needs', $this->call('PUT', "/api/setup/stages/$stage", ['needs' => ['luck']])->ok(422)->text('violations.0.path'));
        $refused = $this->move($project, 'Workshop')->ok(422);
        self::assertSame('reason', $refused->text('violations.0.path'));
        self::assertStringContainsString('a day it has to be ready by and the agreement signed. An owner can go on', $this->sorted($refused->text('violations.0.message')));
        $this->move($project, 'Workshop', 'They rang')->ok(422);
        $this->signIn('sorcha@marrowby.example');
        $this->move($project, 'Workshop')->ok(422);
        self::assertSame('Workshop', $this->move($project, 'Workshop', 'They signed on paper')->ok()->text('stage'));
        self::assertStringContainsString('without', $this->get('/api/changes/last')->ok()->text('change.words'));
        self::assertStringContainsString('They signed on paper', $this->get('/api/changes/last')->ok()->text('change.words'));
        $this->move($project, 'Quote')->ok();
    }

    public function testAStageCanNeedWhatIsThere(): void
    {
        $project = $this->project();
        $stage = $this->id("SELECT id FROM stage WHERE name = 'Visit'");
        $this->call('PUT', "/api/setup/stages/$stage", ['needs' => ['tasks', 'visit', 'quote']])->ok();
        self::assertSame(['agreement', 'quote', 'ready-by', 'tasks', 'visit'], $this->get('/api/setup')->ok()->column('stageNeeds', 'value'));
        $message = $this->move($project, 'Visit')->ok(422)->text('violations.0.message');
        foreach (['all its tasks done', 'a visit held', 'the quote accepted'] as $missing) {
            self::assertStringContainsString($missing, $message);
        }
        $this->call('PUT', "/api/setup/stages/$stage", ['needs' => []])->ok();
        $this->move($project, 'Visit')->ok();
    }

    public function testWhatAStageNeedsHoldsForThoseWhoPassItOver(): void
    {
        $project = $this->project();
        $stage = $this->id("SELECT id FROM stage WHERE name = 'Quote'");
        $this->call('PUT', "/api/setup/stages/$stage", ['needs' => ['visit']])->ok();
        foreach (['Quote', 'Workshop', 'Aftercare'] as $to) {
            self::assertStringContainsString('a visit held', $this->move($project, $to)->ok(422)->text('violations.0.message'), $to);
        }
        $this->move($project, 'Visit')->ok();
        $this->signIn('sorcha@marrowby.example');
        $this->move($project, 'Workshop', 'They brought it in')->ok();
        $this->signIn();
        $this->move($project, 'Visit')->ok();
        $this->move($project, 'Inquiry')->ok();
    }

    public function testTheWallHasEveryOpenProjectWithItsNextTask(): void
    {
        $project = $this->project();
        $wall = $this->get('/api/wall')->ok();
        self::assertSame(['Inquiry', 'Visit', 'Quote', 'Workshop', 'Return', 'Aftercare'], $wall->column('stages', 'name'));
        self::assertSame([$project], $wall->column('projects', 'id'));
        self::assertSame(
            ['First talk', 0, 'Inquiry', 'Orla Fennick'],
            [$wall->text('projects.0.next.name'), $wall->number('projects.0.days'), $wall->text('projects.0.stage'), $wall->text('projects.0.client')],
        );
        $this->db()->executeStatement("UPDATE project SET stage_since = datetime(stage_since, '-5 days')");
        $this->db()->executeStatement("UPDATE task SET due = '2026-01-02' WHERE name = 'First talk'");
        $wall = $this->get('/api/wall')->ok();
        self::assertSame([5, true], [$wall->number('projects.0.days'), $wall->at('projects.0.late')]);
        $this->move($project, 'Visit')->ok();
        self::assertSame(0, $this->get('/api/wall')->ok()->number('projects.0.days'), 'since today');
        $this->close($project);
        self::assertSame([], $this->get('/api/wall')->ok()->rows('projects'));
        $this->signIn('pim@marrowby.example');
        self::assertSame([], $this->get('/api/wall')->ok()->rows('projects'), 'none of theirs');
    }

    public function testOnceATuningIsDoneTheNextIsAskedForUntilTheClientComesAgain(): void
    {
        $project = $this->project();
        $client = $this->id('SELECT id FROM client');
        self::assertSame([], $this->get("/api/clients/$client/next")->ok()->rows('items'));
        $this->close($project);
        $next = $this->get("/api/clients/$client/next")->ok();
        self::assertSame(['Ask for the next tuning'], $next->column('items', 'name'));
        self::assertSame((int) $this->clock->now()->format('Y') + 1, (int) substr($next->text('items.0.due'), 0, 4));
        $this->post("/api/projects/$project/reopen", ['version' => $this->get("/api/projects/$project")->ok()->number('version')])->ok();
        self::assertSame([], $this->get("/api/clients/$client/next")->ok()->rows('items'), 'it goes on after all');
        $this->close($project);
        self::assertCount(1, $this->get("/api/clients/$client/next")->ok()->rows('items'));
        $again = $this->post('/api/projects', ['client' => $client, 'service' => 'tuning'])->ok(201);
        self::assertSame([], $this->get("/api/clients/$client/next")->ok()->rows('items'), 'they have come again');
        $this->undo();
        self::assertCount(1, $this->get("/api/clients/$client/next")->ok()->rows('items'));
        self::assertSame(404, $this->get('/api/projects/'.$again->text('id'))->status);
    }

    /** @param array<string, string> $care */
    #[DataProvider('cares')]
    public function testCareIsSetAtTheService(array $care, ?string $wrong): void
    {
        $id = $this->id("SELECT id FROM service WHERE code = 'repair'");
        $answer = $this->call('PUT', "/api/setup/services/$id", $care);
        self::assertSame($wrong, null === $wrong ? (200 === $answer->status ? null : $answer->body) : $answer->ok(422)->text('violations.0.path'));
    }

    /** @return iterable<string, array{array<string, string>, string|null}> */
    public static function cares(): iterable
    {
        yield 'after half a year' => [['careTask' => 'Ask how it holds', 'careMonths' => '6'], null];
        yield 'in a week' => [['careTask' => 'Ask how it holds', 'careWeek' => '40'], null];
        yield 'a task and no time' => [['careTask' => 'Ask how it holds'], 'careMonths'];
        yield 'a week that no year has' => [['careTask' => 'Ask', 'careWeek' => '54'], 'careWeek'];
        yield 'nothing any more' => [['careTask' => '', 'careMonths' => ''], null];
    }

    public function testClosuresComeOutOfACalendarFileAfterALook(): void
    {
        $year = (int) $this->clock->now()->format('Y') + 1;
        $file = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//Example//EN\r\n"
            ."BEGIN:VEVENT\r\nUID:one@example.com\r\nDTSTAMP:20260101T000000Z\r\nDTSTART;VALUE=DATE:{$year}0804\r\nDTEND;VALUE=DATE:{$year}0807\r\nSUMMARY:Summer\r\nEND:VEVENT\r\n"
            ."BEGIN:VEVENT\r\nUID:two@example.com\r\nDTSTAMP:20260101T000000Z\r\nDTSTART;VALUE=DATE:{$year}1225\r\nDTEND;VALUE=DATE:{$year}1226\r\nSUMMARY:Christmas\r\nEND:VEVENT\r\n"
            ."BEGIN:VEVENT\r\nUID:three@example.com\r\nDTSTAMP:20260101T000000Z\r\nDTSTART:{$year}0901T090000Z\r\nDTEND:{$year}0901T100000Z\r\nSUMMARY:Dentist\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
        $look = $this->post('/api/setup/days-off/read', ['file' => $file, 'dry' => true])->ok();
        self::assertSame(
            [["$year-08-04", "$year-08-06", 'Summer', false], ["$year-12-25", "$year-12-25", 'Christmas', true]],
            array_map(static fn (array $day): array => [$day['first'], $day['last'], $day['name'], $day['known']], $look->rows('days')),
        );
        self::assertSame(1, $look->number('passedOver'), 'an hour is no day');
        $closed = fn (): int => (int) $this->number("SELECT COUNT(*) FROM closure WHERE name = 'Summer'");
        self::assertSame(0, $closed());
        $this->post('/api/setup/days-off/read', ['file' => $file, 'dry' => false])->ok();
        self::assertSame(3, $closed());
        self::assertSame('file', $this->post('/api/setup/days-off/read', ['file' => $file, 'dry' => false])->ok(422)->text('violations.0.path'), 'nothing new');
        $this->undo();
        self::assertSame(0, $closed());
        $pim = $this->id("SELECT id FROM staff WHERE email = 'pim@marrowby.example'");
        $this->post('/api/setup/days-off/read', ['file' => $file, 'staff' => $pim, 'dry' => false])->ok();
        self::assertSame('2', $this->number('SELECT COUNT(*) FROM absence'));
        $this->post('/api/setup/days-off/read', ['file' => 'no calendar', 'dry' => true])->ok(422);
        $this->signIn('pim@marrowby.example');
        $this->post('/api/setup/days-off/read', ['file' => $file, 'dry' => true])->ok(403);
    }

    private function project(): string
    {
        $this->inquire(['service' => 'tuning'])->ok(201);
        $this->work();
        $this->accept($this->lastSubmission())->ok();

        return $this->id('SELECT id FROM project');
    }

    private function move(string $project, string $stage, string $reason = ''): Answer
    {
        return $this->post("/api/projects/$project/stage", ['stage' => $stage, 'version' => $this->get("/api/projects/$project")->ok()->number('version'), 'reason' => $reason]);
    }

    private function close(string $project): void
    {
        $this->post("/api/projects/$project/close", ['version' => $this->get("/api/projects/$project")->ok()->number('version'), 'outcome' => 'won', 'reason' => ''])->ok();
    }

    private function undo(): void
    {
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
    }

    /** What is missing comes in the order of the rooms: a test goes by the alphabet. */
    private function sorted(string $message): string
    {
        return str_replace('the agreement signed and a day it has to be ready by', 'a day it has to be ready by and the agreement signed', $message);
    }
}
