<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Replies;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Replies\Asked;
use Telamon\Core\Replies\Meaning;
use Telamon\Core\Replies\ReplyReader;

/**
 * Invented replies with their meaning: replies.txt, which the tables were written with, and aside.txt, which were
 * each read once before any table knew them (65, 70 and 85 of 100 were decided then) and stand here since.
 */
final class ReplyReaderTest extends TestCase
{
    /** Per cent from which nobody looks. */
    private const THRESHOLD = 95;

    /** @return array<string, array{string, int, float}> file, how many at least, the part that is decided without a person */
    public static function sets(): array
    {
        return [
            'written with' => ['replies.txt', 400, 0.92],
            'kept aside' => ['aside.txt', 260, 0.88],
            'letters with facts, conditions and much else' => ['letters.txt', 290, 0.9],
        ];
    }

    #[DataProvider('sets')]
    public function testNoStopIsMissedAndNoYesIsTakenThatIsNone(string $file, int $least, float $part): void
    {
        $reader = new ReplyReader();
        $all = $decided = 0;
        $missed = $wrongYes = $wrong = [];
        foreach (self::replies($file) as [$means, $text]) {
            $reading = $reader->read($text);
            ++$all;
            $decided += $reading->isSure(self::THRESHOLD) ? 1 : 0;
            if (Meaning::Stop === $means && Meaning::Stop !== $reading->says) {
                $missed[] = $text;
            }
            if ($reading->says !== $means && $reading->isSure(self::THRESHOLD)) {
                $wrong[] = $text;
                if (Meaning::Yes === $reading->says) {
                    $wrongYes[] = $text;
                }
            }
        }

        self::assertGreaterThanOrEqual($least, $all);
        self::assertSame([], $missed, 'stops that were missed');
        self::assertSame([], $wrongYes, 'a yes that was none');
        self::assertLessThanOrEqual(2, \count($wrong), implode("\n", $wrong));
        self::assertGreaterThanOrEqual($part, $decided / $all);
    }

    public function testOnlyWhatWasAskedIsAnswered(): void
    {
        $reader = new ReplyReader();
        foreach (['Yes, it has three pedals.', 'Yes', 'No', 'No, only the one.', 'Fine, thanks.'] as $text) {
            self::assertSame(Meaning::Other, $reader->read($text, Asked::Other)->says, $text);
        }
        foreach ([Asked::Other, Asked::Nothing] as $asked) {
            self::assertFalse($reader->read('Yes please, go ahead with the repair.', $asked)->isSure(self::THRESHOLD));
            self::assertTrue($reader->read('Please stop emailing me.', $asked)->isSure(self::THRESHOLD));
            self::assertSame(Meaning::Question, $reader->read('Which number do you mean?', $asked)->says);
        }
    }

    public function testAStopInTheSubjectAloneIsOneAndARepeatedSubjectIsNot(): void
    {
        $reader = new ReplyReader();
        self::assertSame(Meaning::Stop, $reader->read('', Asked::Decision, 'STOP')->says);
        self::assertSame(Meaning::Stop, $reader->read('Orla', Asked::Nothing, 'Unsubscribe')->says);
        self::assertNotSame(Meaning::Stop, $reader->read('Thanks!', Asked::Decision, 'Re: Stop by any time')->says);
        self::assertNotSame(Meaning::Stop, $reader->read('Yes please.', Asked::Decision, 'AW: Stop')->says);
    }

    public function testAStopAmongMuchElseIsNotSure(): void
    {
        foreach ([
            'the keys stop sounding after a second and the pedal squeaks',
            'Please stop at the shop on the corner and ring me from there.',
            'The keys stop working after a second and the stop on the organ is stuck.',
        ] as $text) {
            $reading = (new ReplyReader())->read($text);
            self::assertFalse(Meaning::Stop === $reading->says && $reading->isSure(self::THRESHOLD), $text);
        }
    }

    /** @return array<string, array{string}> */
    public static function neverYes(): array
    {
        $texts = [
            'Yes, but not this year.',
            'Yes but.',
            'Yes, if you come before noon.',
            'OK, as long as it costs no more.',
            'Yes, only the tuning.',
            'Go ahead, except for the pedals.',
            'We accept. But we want another colour.',
            'Yes. However, the price is too high.',
            'Sure, once we have the money.',
            'Agreed, provided the lift works.',
            'Ja, aber später.',
            'Oui, mais plus tard.',
            "Don't say yes for me.",
            'I never said yes.',
            'No yes from me.',
            "He'd say yes, not me.",
            'Please do not go ahead.',
            'Not okay.',
            'Grand, go ahead. Any day but the Friday.',
            'Yes. Thank you. Only mind the step.',
            "It's not that I don't want to go ahead.",
        ];

        return array_combine($texts, array_map(static fn (string $text): array => [$text], $texts));
    }

    #[DataProvider('neverYes')]
    public function testAYesThatHangsOnSomethingIsNone(string $text): void
    {
        $reading = (new ReplyReader())->read($text);

        self::assertFalse(Meaning::Yes === $reading->says && $reading->isSure(self::THRESHOLD), "{$reading->confidence}");
    }

    /** The words that networks ask senders of text messages to obey: common practice, from memory. */
    public function testTheWordsOfTextMessagesStop(): void
    {
        foreach (['STOP', 'stop', 'Stop.', 'STOPALL', 'UNSUBSCRIBE', 'END', 'QUIT', ' stop ', "STOP\n\n-- \nHugh", 'STOP STOP'] as $text) {
            self::assertSame(Meaning::Stop, (new ReplyReader())->read($text)->says, $text);
        }
    }

    public function testWhatIsRepeatedBelowIsNotRead(): void
    {
        $reading = (new ReplyReader())->read(
            "Yes please.\r\n\r\nOn Tue 24 Mar 2026 at 09:24, Marrowby Piano Workshop <desk@marrowby.example> wrote:\r\n> Answer no, or STOP to end these.\r\n",
        );

        self::assertSame(['says' => 'yes', 'confidence' => 0.97, 'because' => ['yes'], 'read' => 'Yes please.'], $reading->toArray());
    }

    public function testItSaysWhatItRestsOn(): void
    {
        self::assertContains('go ahead', (new ReplyReader())->read('Grand, go ahead')->because);
        self::assertContains('but', (new ReplyReader())->read('Yes, but the price is high.')->because);
    }

    public function testTextThatSaysNothingIsForAPerson(): void
    {
        foreach (['', '   ', '...', '?!', '😀', "\n\n\n", '0', '--', "> only quoted\n> yes"] as $text) {
            $reading = (new ReplyReader())->read($text);
            self::assertSame(Meaning::Other, $reading->says, $text);
            self::assertFalse($reading->isSure(self::THRESHOLD));
        }
    }

    public function testTenMegabytesOfRepeatedTextAreReadLikeTheirFirstLines(): void
    {
        $reading = (new ReplyReader())->read("Yes, go ahead.\n\n".str_repeat("> no, and STOP\n", 700_000));

        self::assertSame('yes', $reading->says->value);
        self::assertSame('Yes, go ahead.', $reading->read);
    }

    public function testALongLetterIsReadByAPerson(): void
    {
        self::assertFalse((new ReplyReader())->read('Yes, go ahead. '.str_repeat(
            'The weather in Dunmarl was fine all week and the garden is in flower. ',
            20,
        ))->isSure(self::THRESHOLD));
    }

    /** @return iterable<array{Meaning, string}> */
    private static function replies(string $file): iterable
    {
        foreach (file(__DIR__."/$file", \FILE_IGNORE_NEW_LINES | \FILE_SKIP_EMPTY_LINES) ?: [] as $line) {
            [$means, , $text] = explode(' ', $line, 3);
            yield [Meaning::from($means), str_replace('\n', "\n", $text)];
        }
    }
}
