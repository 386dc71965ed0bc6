<?php

declare(strict_types=1);

namespace Telamon\Tests\Tasks;

use PHPUnit\Framework\Attributes\TestWith;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\CommandRun;

/** The command that reads days: one question or a list, what cannot be asked on standard error. */
final class DaysCommandTest extends AppTestCase
{
    use CommandRun;

    public function testItPrintsOneAnswerAndNothingElse(): void
    {
        self::assertSame('{"spans":[["2026-12-19","2026-12-19"]]}'."\n", $this->ask(['today' => '2026-12-01', 'order' => 'day-first', 'text' => '19 Dec'], 0));
        self::assertSame(
            '{"spans":[["2026-12-06","2026-12-06"],["2027-06-12","2027-06-12"]]}'."\n",
            $this->ask(['today' => '2026-12-01', 'order' => 'unstated', 'text' => '12/6'], 0),
        );
        self::assertSame('{"spans":[]}'."\n", $this->ask(['today' => '2026-12-01', 'order' => 'month-first', 'text' => 'soon'], 0));
    }

    public function testAListIsAnsweredInItsOrderAndARefusedOneSaysWhyInItsPlace(): void
    {
        $answers = json_decode(
            $this->ask(
                [
                    ['today' => '2026-12-01', 'order' => 'unstated', 'text' => 'today'],
                    ['today' => 'today', 'order' => 'unstated', 'text' => 'x'],
                    ['today' => '2026-12-01', 'order' => 'unstated', 'text' => 'tomorrow'],
                ],
                1,
            ),
            true,
        );
        self::assertSame(
            [['spans' => [['2026-12-01', '2026-12-01']]], ['error' => '“today” must be a day like 2026-12-01.'], ['spans' => [['2026-12-02', '2026-12-02']]]],
            $answers,
        );
    }

    /**
     * @param array<mixed> $question
     * @param non-empty-string $why
     */
    #[TestWith([['today' => '2026-02-30', 'order' => 'unstated', 'text' => 'x'], '“today” must be'])]
    #[TestWith([['today' => '2026-12-01', 'order' => 'sideways', 'text' => 'x'], '“order” must be'])]
    #[TestWith([['today' => '2026-12-01', 'order' => 'unstated'], '“text” must be'])]
    #[TestWith([['today' => '2026-12-01', 'order' => 'unstated', 'text' => 5], '“text” must be'])]
    public function testWhatCannotBeAskedIsOneLine(array $question, string $why): void
    {
        self::assertStringStartsWith($why, $this->ask($question, 1));
    }

    /** @param array<mixed> $question */
    private function ask(array $question, int $status): string
    {
        file_put_contents("{$this->data}/days.json", json_encode($question, \JSON_THROW_ON_ERROR));

        return $this->command('telamon:days:read', ['file' => "{$this->data}/days.json"], $status);
    }
}
