<?php

declare(strict_types=1);

namespace Telamon\Effects;

use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\PlanLine;
use Telamon\Record\Journaled;

/** Carries the lines of a plan out, in their order. */
final class Effects
{
    /** @var array<string, EffectHandler<Effect>>|null by class of the effect */
    private ?array $handlersByClass = null;

    /**
     * @param iterable<EffectHandler<Effect>> $handlers
     * @param iterable<LastTouch> $touches
     */
    public function __construct(
        #[AutowireIterator('telamon.effect_handler')] private readonly iterable $handlers,
        #[AutowireIterator('telamon.last_touch')] private readonly iterable $touches,
        private readonly EventDispatcherInterface $events,
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
            if (null === $line->effect) {
                continue;
            }
            $handler = $this->handler($line->effect::class);
            $against = $handler instanceof MayComeToNothing ? $handler->against($line->effect, $made) : '';
            if ('' !== $against) {
                $this->events->dispatch($nothing = new CameToNothing($against, $line->said->reason, $made));
                array_push($touched, ...$nothing->touched());
            } else {
                array_push($touched, ...$handler->write($line->effect, $made));
            }
        }
        foreach ($this->touches as $touch) {
            $touch->finish($made);
        }

        return $touched;
    }

    /**
     * @param class-string<Effect> $effect
     *
     * @return EffectHandler<Effect>
     */
    public function handler(string $effect): EffectHandler
    {
        if (null === $this->handlersByClass) {
            $this->handlersByClass = [];
            foreach ($this->handlers as $handler) {
                $this->handlersByClass[$handler::of()] = $handler;
            }
        }

        return $this->handlersByClass[$effect] ?? throw new \LogicException("nobody carries $effect out");
    }
}
