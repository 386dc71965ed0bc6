<?php

declare(strict_types=1);

namespace Telamon\Record;

use Doctrine\ORM\EntityManagerInterface;

/** Knows every kind of record by its name: where it is shown, and what it is called. */
final readonly class Records
{
    /** @param array<string, class-string<Journaled>> $recordClasses by kind: the list in config/services.yaml */
    public function __construct(private EntityManagerInterface $em, private array $recordClasses)
    {
    }

    /** @return array{kind: string, id: string, label: string, path: string|null} as RecordRef in the contract */
    public function ref(string $kind, string $id, string $label): array
    {
        return ['kind' => $kind, 'id' => $id, 'label' => $label, 'path' => $this->path($kind, $id)];
    }

    /** @return array{kind: string, id: string, label: string, path: string|null}|null null where it is not there (any more) */
    public function find(string $kind, ?string $id): ?array
    {
        return RecordRef::maybe(null === $id ? null : $this->record($kind, $id));
    }

    /** Where a record is shown, itself or as part of another; null for nowhere. */
    public function path(string $kind, string $id): ?string
    {
        $class = $this->recordClasses[$kind] ?? null;
        $path = null === $class ? null : $class::pathOf($id, null, null);
        if (null !== $path || null === $class) {
            return $path;
        }
        $context = $this->record($kind, $id)?->recordContext();

        return null === $context ? null : $class::pathOf($id, $context['client'], $context['project']);
    }

    /** @return list<string> the kinds that are read by whoever works for their client */
    public function readWithClient(): array
    {
        return array_keys(array_filter($this->recordClasses, static fn (string $class): bool => $class::isReadWithClient()));
    }

    /**
     * The lines of a plan, with where the records are shown that they name.
     *
     * @param array<string, mixed> $plan as Plan in the core gives it
     *
     * @return array<string, mixed> as Plan in the contract
     */
    public function linked(array $plan): array
    {
        $plan['lines'] = array_map(
            fn (mixed $line): mixed => \is_array($line) && \is_array($line['parts'] ?? null) ? ['parts' => array_map($this->linkedPart(...), $line['parts'])] + $line : $line,
            \is_array($plan['lines'] ?? null) ? $plan['lines'] : [],
        );

        return $plan;
    }

    private function linkedPart(mixed $part): mixed
    {
        $record = \is_array($part) ? $part['record'] ?? null : null;

        return \is_array($part) && \is_array($record) && \is_string($record['kind'] ?? null) && \is_string($record['id'] ?? null)
            ? ['record' => $record + ['path' => $this->path($record['kind'], $record['id'])]] + $part
            : $part;
    }

    public function record(string $kind, string $id): ?Journaled
    {
        $class = $this->recordClasses[$kind] ?? null;

        return null === $class ? null : $this->em->find($class, $id);
    }
}
