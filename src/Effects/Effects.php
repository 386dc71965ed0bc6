<?php

declare(strict_types=1);

namespace Telamon\Effects;

use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Telamon\Core\Plan\EffectKind;
use Telamon\Core\Plan\PlanLine;
use Telamon\Record\Journaled;

/** Carries the lines of a plan out, in their order. */
final class Effects
{
    /** @var array<string, EffectHandler>|null by kind */
    private ?array $byKind = null;

    /**
     * @param iterable<EffectHandler> $handlers
     * @param iterable<LastTouch> $touches
     */
    public function __construct(
        #[AutowireIterator('telamon.effect_handler')] private readonly iterable $handlers,
        #[AutowireIterator('telamon.last_touch')] private readonly iterable $touches,
    ) {
    }

    /**
     * @param list<PlanLine> $lines
     *
     * @return list<Journaled> what they made or changed
     */
    public function carryOut(array $lines, Making $made): array
    {
        $touched = [];
        foreach ($lines as $line) {
            if (null !== $line->effect) {
                array_push($touched, ...$this->handler($line->effect->kind)->write($line->effect, $made));
            }
        }
        foreach ($this->touches as $touch) {
            $touch->finish($made);
        }

        return $touched;
    }

    public function handler(EffectKind $kind): EffectHandler
    {
        if (null === $this->byKind) {
            $this->byKind = [];
            foreach ($this->handlers as $handler) {
                foreach ($handler::kinds() as $one) {
                    $this->byKind[$one->value] = $handler;
                }
            }
        }

        return $this->byKind[$kind->value] ?? throw new \LogicException("nobody carries {$kind->value} out");
    }
}
