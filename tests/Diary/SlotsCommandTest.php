<?php

declare(strict_types=1);

namespace Telamon\Tests\Diary;

use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\CommandRun;

/** The command that prints free times: one question or a list, refusals in one line. */
final class SlotsCommandTest extends AppTestCase
{
    use CommandRun;

    private const QUESTION = [
        'zone' => 'Europe/Dublin', 'now' => '2026-11-30T08:00:00Z', 'from' => '2026-12-01', 'to' => '2026-12-01',
        'type' => ['length' => 60, 'step' => 60], 'staff' => [['id' => 'a', 'hours' => ['2' => [['09:00', '11:00']]]]],
    ];

    public function testItPrintsOneAnswerAndNothingElse(): void
    {
        $printed = $this->slots(self::QUESTION, 0);
        self::assertSame('{"slots":[{"start":"2026-12-01T09:00:00+00:00","staff":["a"]},{"start":"2026-12-01T10:00:00+00:00","staff":["a"]}]}'."\n", $printed);
    }

    public function testOfSeveralEachIsAnsweredInItsPlace(): void
    {
        $answers = json_decode($this->slots([self::QUESTION, ['zone' => 'nowhere'] + self::QUESTION, ['staff' => []] + self::QUESTION], 1), true);
        self::assertIsArray($answers);
        self::assertSame([['slots'], ['error'], ['slots']], array_map(static fn (mixed $one): array => \is_array($one) ? array_keys($one) : [], $answers));
        self::assertSame('[]'."\n", $this->slots([], 0));
    }

    public function testWhatCannotBeIsOneLine(): void
    {
        self::assertSame("type.length: write a whole number from 1 to 1440.\n", $this->slots(['type' => ['length' => 0, 'step' => 60]] + self::QUESTION, 1));
        file_put_contents("{$this->data}/no.json", '{"zone":');
        self::assertStringStartsWith('The file is no JSON:', $this->command('telamon:slots', ['file' => "{$this->data}/no.json"], 1));
        self::assertSame("The file cannot be read.\n", $this->command('telamon:slots', ['file' => "{$this->data}/gone.json"], 1));
    }

    /** @param array<mixed> $question */
    private function slots(array $question, int $status): string
    {
        file_put_contents("{$this->data}/slots.json", json_encode($question, \JSON_THROW_ON_ERROR));

        return $this->command('telamon:slots', ['file' => "{$this->data}/slots.json"], $status);
    }
}
