<?php

declare(strict_types=1);

namespace Telamon\Rules;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Core\Rules\RuleOutcome;
use Telamon\Journal\Change;
use Telamon\Record\Journaled;
use Telamon\Record\RecordRef;
use Telamon\Record\Records;

/** Keeps which rules had their part in a change, what they lacked, and whose turn it was. */
final readonly class RuleUses
{
    private const SHOWN = 100;

    public function __construct(private EntityManagerInterface $em, private TurnsTaken $turns, private Records $records, private ClockInterface $clock)
    {
    }

    /** Call it inside the change. */
    public function keep(RuleOutcome $outcome, Change $change, Journaled $record): void
    {
        $ref = RecordRef::of($record);
        foreach ($outcome->rules as $rule) {
            $gone = array_filter($outcome->gone, static fn (array $one): bool => $one[0]->id === $rule->id);
            $this->em->persist(new RuleUse(
                $rule->id,
                $ref['id'],
                $this->clock->now(),
                mb_substr(implode(', ', array_column($gone, 1)), 0, 300),
                $change->id,
                $ref['kind'],
                mb_substr($ref['label'], 0, 300),
            ));
        }
        $this->turns->take($outcome->turns);
    }

    /** @return list<array{record: array{kind: string, id: string, label: string, path: string|null}, at: \DateTimeImmutable, failure: string, takenBack: bool}> the newest first */
    public function of(string $ruleId): array
    {
        /** @var list<array{0: RuleUse, undoneAt: \DateTimeImmutable|null}> $found */
        $found = $this->em->createQueryBuilder()->select('u', 'c.undoneAt')->from(RuleUse::class, 'u')->leftJoin(Change::class, 'c', 'WITH', 'c.id = u.changeId')
            ->where('u.ruleId = :rule')->setParameter('rule', $ruleId)->orderBy('u.at', 'DESC')->addOrderBy('u.id', 'DESC')->setMaxResults(self::SHOWN)->getQuery()->getResult();

        return array_map(fn (array $row): array => [
            'record' => $this->records->ref(
                $row[0]->recordKind,
                $row[0]->recordId,
                $row[0]->recordLabel,
            ), 'at' => $row[0]->at, 'failure' => $row[0]->failure, 'takenBack' => null !== $row['undoneAt'],
        ], $found);
    }
}
