<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Doctrine\ORM\EntityManagerInterface;

/** Carries changes out: one transaction, one entry in the list of changes, everything journaled under it. */
final readonly class Changes
{
    public function __construct(private EntityManagerInterface $em, private CurrentChange $current)
    {
    }

    /**
     * @template T
     *
     * @param callable(): T $work does not flush
     *
     * @return T
     */
    public function carryOut(Change $change, callable $work): mixed
    {
        return $this->em->wrapInTransaction(function () use ($change, $work): mixed {
            $this->current->begin($change);
            try {
                $this->em->persist($change);
                $result = $work();
                $this->em->flush();

                return $result;
            } finally {
                $this->current->end();
            }
        });
    }
}
