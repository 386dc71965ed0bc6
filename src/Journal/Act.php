<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Telamon\Record\Journaled;
use Telamon\Staff\Staff;

/** Somebody does a thing: of what kind, in which words, about what. {@see Changes} carries it out, and writes it down. */
final readonly class Act
{
    /**
     * @param string $words what is done, without its doer: “accepted the plan for Orla Fennick”
     * @param Staff|null $by null where nobody of the staff does it
     * @param list<array{object, int|null}> $looked records that are read again under the write lock, and the version that was looked at
     */
    private function __construct(
        public ChangeKind $kind,
        public string $words,
        public ?Staff $by,
        public ?string $submissionId = null,
        public ?string $recordKind = null,
        public ?string $recordId = null,
        public string $recordLabel = '',
        public ?\DateTimeImmutable $at = null,
        public array $looked = [],
    ) {
    }

    /** @param string $words without its doer; what is longer than fits is cut */
    public static function of(ChangeKind $kind, string $words, ?Staff $by = null): self
    {
        return new self($kind, $words, $by);
    }

    /** @param (Journaled&object{id: string})|null $record that it is mainly about; null for none in particular */
    public function about(?Journaled $record): self
    {
        return null === $record ? $this : $this->on($record->recordKind(), $record->id, $record->recordLabel());
    }

    /** The same by its kind, id and name: of a setting, which is part of the business, or a record that is not read. */
    public function on(string $kind, ?string $id, string $label = ''): self
    {
        return new self($this->kind, $this->words, $this->by, $this->submissionId, $kind, $id, $label, $this->at, $this->looked);
    }

    /** @param string|null $submission id of the arrival that it comes of */
    public function from(?string $submission): self
    {
        return new self($this->kind, $this->words, $this->by, $submission, $this->recordKind, $this->recordId, $this->recordLabel, $this->at, $this->looked);
    }

    /** At another time than now: what is put on file belongs to its own day. */
    public function at(\DateTimeImmutable $at): self
    {
        return new self($this->kind, $this->words, $this->by, $this->submissionId, $this->recordKind, $this->recordId, $this->recordLabel, $at, $this->looked);
    }

    /**
     * What was looked at before is read again under the write lock, and believed only then.
     *
     * @param int|null $version that somebody has before them; another one on file refuses the act
     */
    public function looking(object $record, ?int $version = null): self
    {
        return new self(
            $this->kind,
            $this->words,
            $this->by,
            $this->submissionId,
            $this->recordKind,
            $this->recordId,
            $this->recordLabel,
            $this->at,
            [...$this->looked, [$record, $version]],
        );
    }
}
