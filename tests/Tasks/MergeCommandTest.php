<?php

declare(strict_types=1);

namespace Telamon\Tests\Tasks;

use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\CommandRun;

/** The command that merges checklists: one question or a list, a circle named on standard error. */
final class MergeCommandTest extends AppTestCase
{
    use CommandRun;

    private const QUESTION = [
        'start' => '2026-11-24', 'ready_by' => null, 'open_weekdays' => [1, 2, 3, 4, 5], 'closures' => ['2026-12-25'],
        'checklists' => [['key' => 'base', 'joins_after' => null, 'items' => [['key' => 'talk', 'name' => 'First talk', 'takes' => 1, 'waits_for' => [], 'due' => null]]]],
    ];

    public function testItPrintsOneAnswerAndNothingElse(): void
    {
        self::assertSame(
            '{"tasks":[{"key":"base/talk","number":1,"waits_for":[],"earliest_start":0,"earliest_finish":1,"latest_start":0,"float":0,"due":"2026-11-25"}],"longest_chain":["base/talk"],"short_by":0}'."\n",
            $this->merge(self::QUESTION, 0),
        );
    }

    public function testACircleIsOneLineAndOneAnswerAmongSeveral(): void
    {
        $circle = self::QUESTION;
        $circle['checklists'][0]['items'][0]['waits_for'] = ['base/talk'];
        self::assertSame("These wait for one another in a circle: base/talk waits for base/talk\n", $this->merge($circle, 1));
        $answers = json_decode($this->merge([self::QUESTION, $circle, self::QUESTION], 1), true);
        self::assertIsArray($answers);
        self::assertSame(
            [['tasks', 'longest_chain', 'short_by'], ['error'], ['tasks', 'longest_chain', 'short_by']],
            array_map(static fn (mixed $one): array => \is_array($one) ? array_keys($one) : [], $answers),
        );
    }

    public function testAProjectInMidLifeIsOrderedAndDatedAnew(): void
    {
        $standing = self::QUESTION + ['today' => '2026-12-01', 'join' => [], 'tasks' => [['key' => 'base/talk', 'state' => 'open', 'due' => '2026-12-01']]];
        self::assertSame(
            '{"tasks":[{"key":"base/talk","number":1,"waits_for":[],"state":"open","due":"2026-12-02","new":false}],"moved":["base/talk"],"ends":"2026-12-02","short_by":0}'."\n",
            $this->merge($standing, 0, 'telamon:tasks:replan'),
        );
        $circle = $standing;
        $circle['tasks'][0] += ['by_hand' => ['waits_for'], 'waits_for' => ['talk']];
        self::assertSame("These wait for one another in a circle: base/talk waits for base/talk\n", $this->merge($circle, 1, 'telamon:tasks:replan'));
    }

    /** @param array<mixed> $question */
    private function merge(array $question, int $status, string $command = 'telamon:tasks:merge'): string
    {
        file_put_contents("{$this->data}/merge.json", json_encode($question, \JSON_THROW_ON_ERROR));

        return $this->command($command, ['file' => "{$this->data}/merge.json"], $status);
    }
}
