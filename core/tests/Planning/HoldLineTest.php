<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Planning;

use PHPUnit\Framework\TestCase;
use Telamon\Core\Booking\TimesAhead;
use Telamon\Core\Booking\TimesOf;
use Telamon\Core\Booking\Wish;
use Telamon\Core\Effects\HoldTime;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Plan\InvalidDecision;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\Inquiry;
use Telamon\Core\Planning\Ruling;
use Telamon\Core\Rules\Circumstances;
use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Rules\RuleReader;
use Telamon\Core\Rules\Turns;
use Telamon\Core\Tests\Fixtures;

/** A wish for an appointment becomes the nearest time that is free, or a question. */
final class HoldLineTest extends TestCase
{
    public function testAWishThatCanBeKeptIsBooked(): void
    {
        $line = self::line('2026-12-01 to 2026-12-04');
        self::assertSame('Book Tuning for Tue 1 December, 09:00 to 10:00', Fixtures::words($line));
        self::assertInstanceOf(HoldTime::class, $line->effect);
        self::assertSame(['2026-12-01T09:00:00+00:00', 60, '7 Weir Cottages, Marrowby'], [$line->effect->start, $line->effect->minutes, $line->effect->address]);
        self::assertFalse($line->isOpen());
        self::assertSame(['1', '2', '3', '4'], array_column($line->choice->options ?? [], 'hotkey'), 'others are a key away');
    }

    public function testWhatCannotBeReadOrIsNotFreeAsWishedIsAQuestion(): void
    {
        foreach (['not before lunch', '2026-12-20 to 2026-12-21', 'Sundays'] as $wish) {
            $line = self::line($wish);
            self::assertTrue($line->isOpen(), $wish);
            self::assertNull($line->effect, $wish);
            self::assertSame('Which time for Tuning?', Fixtures::words($line));
        }
        $chosen = self::line('Sundays', ['rule.r1.0.time' => '2026-12-02T14:00:00+00:00']);
        self::assertSame('2026-12-02T14:00:00+00:00', $chosen->effect instanceof HoldTime ? $chosen->effect->start : '');
        self::assertNull(self::line('Sundays', ['rule.r1.0.time' => 'leave'])->effect);
        $this->expectException(InvalidDecision::class);
        self::line('Sundays', ['rule.r1.0.time' => '2026-12-24T14:00:00+00:00']);
    }

    public function testWhereNothingIsFreeOrTheKindIsGoneItIsSaid(): void
    {
        self::assertStringContainsString('is free in the days ahead', Fixtures::words(self::line('any time', times: [])));
        self::assertStringContainsString('there is no kind of visit', Fixtures::words(self::line('any time', times: null)));
    }

    /**
     * @param array<string, string> $decisions
     * @param list<string>|null $times starts; null where the kind is gone
     */
    private static function line(
        string $wish,
        array $decisions = [],
        ?array $times = ['2026-12-01T09:00:00+00:00', '2026-12-02T14:00:00+00:00', '2026-12-07T09:00:00+00:00'],
    ): PlanLine {
        $ahead = new class($times) implements TimesAhead {
            /** @param list<string>|null $times */
            public function __construct(private readonly ?array $times)
            {
            }

            public function of(string $kind, Wish $wish): ?TimesOf
            {
                return null === $this->times
                    ? null
                    : new TimesOf('Tuning', 60, array_map(static fn (string $start): array => ['start' => $start, 'with' => 'Teo Ash'], $this->times));
            }
        };
        $form = FormDefinition::fromArray(['pages' => [['key' => 'p', 'questions' => [
            ['key' => 'name', 'type' => 'person-name', 'destination' => 'client.name'],
            ['key' => 'place', 'type' => 'short-text', 'destination' => 'client.address'],
            ['key' => 'when', 'type' => 'short-text', 'destination' => 'appointment.wish'],
        ]]]]);
        $rule = (new RuleReader())->read('r1', ['name' => 'Book it', 'then' => [['kind' => 'hold', 'visit' => 'tuning']]]);
        $book = new RuleBook([$rule], [], [], [], [], new Turns());
        $context = Fixtures::context(
            Fixtures::input(),
            new Ruling($book, new Circumstances('inquiry', [], '2026-11-25')),
            inquiry: new Inquiry(Fixtures::reader()->read($form, ['name' => 'Orla Fennick', 'place' => '7 Weir Cottages, Marrowby', 'when' => $wish]), times: $ahead),
        );
        foreach (Fixtures::planner()->plan($context, $decisions)->lines as $line) {
            if (str_starts_with($line->key, 'rule.')) {
                return $line;
            }
        }
        self::fail('the rule has a line');
    }
}
