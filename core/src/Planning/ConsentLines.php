<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Effects\KeepConsent;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Reading;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Plan\Sources;

/** The plan's lines about what the client agreed to. */
final readonly class ConsentLines
{
    /** @return list<PlanLine> one a consent that was given; none for one that was left open, which is no refusal */
    public function lines(PlanContext $now): array
    {
        $day = '' === $now->inquiry->received ? $now->today->format('Y-m-d') : $now->inquiry->received;
        $given = array_filter(
            $now->inquiry->readings->all,
            static fn (Reading $reading): bool => Destination::ClientConsent === $reading->question->destination && '' !== $reading->string(),
        );

        return array_values(array_map(
            static fn (Reading $reading): PlanLine => PlanLine::of(
                "consent.{$reading->question->key}",
                'Client',
                new KeepConsent(trim($reading->question->wording), $day),
                $now->telling,
                Sources::of(['wording' => $reading]),
            )->because('as it was agreed to'),
            $given,
        ));
    }
}
