<?php

declare(strict_types=1);

namespace Telamon\Database;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\ORM\Events;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** Nobody empties the memory of records alone: whoever keeps some of them, or something made of them, forgets it too. */
#[AsDoctrineListener(Events::onClear)]
final readonly class ForgetsWithRecords
{
    /** @param iterable<Remembers> $all */
    public function __construct(#[AutowireIterator('telamon.remembers')] private iterable $all)
    {
    }

    public function onClear(): void
    {
        foreach ($this->all as $one) {
            $one->reset();
        }
    }
}
