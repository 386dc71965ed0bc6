<?php

declare(strict_types=1);

namespace Telamon\Core\Planning\Actions;

use Telamon\Core\Booking\NearestTimes;
use Telamon\Core\Booking\TimesOf;
use Telamon\Core\Booking\Wish;
use Telamon\Core\Booking\WishReader;
use Telamon\Core\Effects\HoldTime;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Reading;
use Telamon\Core\Plan\Choice;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\ChoosingLines;
use Telamon\Core\Planning\RuleLine;
use Telamon\Core\Rules\Actions\HoldNearest;
use Telamon\Core\Rules\RuleAction;
use Telamon\Core\Time\DayOrder;
use Telamon\Core\Time\DayWords;

/**
 * A wish becomes the nearest time that is free. Where it cannot be read, or nothing is free as wished, it is a question
 * with the nearest days.
 */
final readonly class HoldLine implements ChoosingLines
{
    private const MOST = 3;
    private const LEAVE = 'leave';

    public function __construct(private WishReader $wishes = new WishReader())
    {
    }

    public static function of(): string
    {
        return HoldNearest::class;
    }

    public function line(RuleAction $action, RuleLine $at): PlanLine
    {
        return $at->says('Project', 'No time is booked: nobody would look at it first');
    }

    public function choosing(RuleAction $action, RuleLine $at, ?string $chosen): PlanLine
    {
        \assert($action instanceof HoldNearest);
        $inquiry = $at->now->inquiry;
        if (null !== $inquiry->booked) {
            return $at->says('Project', 'No time is looked for: one is booked already');
        }
        $wished = $inquiry->readings->allFor(Destination::AppointmentWish);
        if (null === $inquiry->times) {
            return $at->says('Project', [] === $wished ? 'No time is booked: the form asks for none' : 'The free time nearest to the wish is booked here');
        }
        $wish = $this->wishes->read(
            array_map(static fn (Reading $reading): string => $reading->text, $wished),
            $at->now->ruling->facts->order ?? DayOrder::Unstated,
            '' === $inquiry->received ? null : new \DateTimeImmutable($inquiry->received, new \DateTimeZone('UTC')),
        );
        $times = $inquiry->times->of($action->visit, $wish ?? new Wish());
        if (null === $times) {
            return $at->says('Project', "No time is booked: there is no kind of visit “{$action->visit}”");
        }
        $nearest = (new NearestTimes($wish ?? new Wish()))->of($times, self::MOST);
        if ([] === $nearest) {
            return $at->says('Project', "No time for {$times->title} is free in the days ahead");
        }
        $usual = null !== $wish && $nearest[0]['asWished'] ? $nearest[0]['start'] : null;

        return $this->offered(
            $at,
            $action->visit,
            $times,
            $nearest,
            $chosen ?? $usual,
            [] === $wished ? '' : implode('; ', array_map(static fn (Reading $reading): string => $reading->text, $wished)),
        );
    }

    /**
     * @param non-empty-list<array{start: string, with: string, asWished: bool}> $nearest
     * @param string $wished as it was written
     */
    private function offered(RuleLine $at, string $kind, TimesOf $times, array $nearest, ?string $chosen, string $wished): PlanLine
    {
        $options = [];
        foreach ($nearest as $i => $time) {
            $options[] = [
                'value' => $time['start'],
                'hotkey' => (string) ($i + 1),
                'label' => self::when($at, $time['start'], $times->minutes).('' === $time['with'] ? '' : " with {$time['with']}"),
            ];
        }
        $options[] = ['value' => self::LEAVE, 'hotkey' => (string) (\count($nearest) + 1), 'label' => 'Book none'];
        $choice = new Choice("{$at->key}.time", \in_array($chosen, array_column($options, 'value'), true) ? $chosen : null, $options);
        if (null === $choice->chosen) {
            return $at->says('Project', "Which time for {$times->title}?")->noting('' === $wished ? 'nothing was wished for' : "wished for: $wished")->offering($choice);
        }
        if (self::LEAVE === $choice->chosen) {
            return $at->says('Project', "No time for {$times->title} is booked")->offering($choice);
        }
        $time = array_values(array_filter($nearest, static fn (array $one): bool => $one['start'] === $choice->chosen))[0];

        return $at->does('Project', new HoldTime($kind, $times->title, $time['start'], $times->minutes, self::when($at, $time['start'], $times->minutes), self::address($at)))
            ->noting('' === $wished ? '' : "wished for: $wished".($time['asWished'] ? '' : '; not as wished'))->offering($choice);
    }

    /** “Tue 1 Dec, 09:30 to 10:30”. */
    private static function when(RuleLine $at, string $start, int $minutes): string
    {
        $from = new \DateTimeImmutable($start);
        $day = new \DateTimeImmutable($from->format('Y-m-d'), new \DateTimeZone('UTC'));

        return DayWords::short($day, $at->now->today).', '.$from->format('H:i').' to '.$from
            ->setTimezone($at->now->today->getTimezone())
            ->modify("+$minutes minutes")
            ->format('H:i');
    }

    private static function address(RuleLine $at): string
    {
        $readings = $at->now->inquiry->readings;

        return mb_substr($readings->for(Destination::AssetPlace)->text ?? $readings->for(Destination::ClientAddress)->text ?? '', 0, 300);
    }
}
