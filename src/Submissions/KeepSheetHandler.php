<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Symfony\Component\Messenger\MessageBusInterface;
use Telamon\Core\Effects\KeepSheet as KeepSheetEffect;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;
use Telamon\Journal\CurrentChange;

/**
 * Has the worker keep the submission as a PDF: drawing one takes a while.
 *
 * @implements EffectHandler<KeepSheetEffect>
 */
final readonly class KeepSheetHandler implements EffectHandler
{
    public function __construct(private MessageBusInterface $bus, private CurrentChange $current)
    {
    }

    public static function of(): string
    {
        return KeepSheetEffect::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof KeepSheetEffect);
        $change = $this->current->get();
        if (null !== $change && null !== $made->occasion) {
            $this->bus->dispatch(new KeepSheet($change->id, $made->occasion->id));
        }

        return [];
    }
}
