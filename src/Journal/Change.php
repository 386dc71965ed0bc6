<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\Records;
use Telamon\Staff\Staff;

/** One act of a person or of the worker: all that it wrote is taken back together. */
#[ORM\Entity]
#[ORM\Table(name: 'change_set')]
#[ORM\Index(columns: ['staff_id', 'at'])]
#[ORM\Index(columns: ['staff_id', 'seq'])]
#[ORM\Index(columns: ['undoes'])]
#[ORM\Index(columns: ['submission_id'])]
class Change
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $undoneAt = null;

    /**
     * The change that this one took back.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 36, nullable: true)]
    public ?string $undoes = null;

    /**
     * The order in which changes were written, given by the database: a clock may go back.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(insertable: false, updatable: false, options: ['default' => 0])]
    public int $seq = 0;

    /**
     * @param string $words what was done, without its doer: “accepted the plan for Orla Fennick”
     * @param string|null $recordKind the record that it was mainly about
     */
    public function __construct(
        #[ORM\Column(enumType: ChangeKind::class)]
        public readonly ChangeKind $kind,
        #[ORM\Column(length: 300)]
        public readonly string $words,
        #[ORM\ManyToOne]
        public readonly ?Staff $staff,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $at,
        #[ORM\Column(length: 36, nullable: true)]
        public readonly ?string $submissionId = null,
        #[ORM\Column(length: 20, nullable: true)]
        public readonly ?string $recordKind = null,
        #[ORM\Column(length: 36, nullable: true)]
        public readonly ?string $recordId = null,
        #[ORM\Column(length: 300)]
        public readonly string $recordLabel = '',
    ) {
        $this->id = Ids::next();
    }

    /** @param string $change id of the one that this takes back */
    public function takesBack(string $change): void
    {
        $this->undoes = $change;
    }

    public function takenBack(\DateTimeImmutable $at): void
    {
        $this->undoneAt ??= $at;
    }

    public function doneAgain(): void
    {
        $this->undoneAt = null;
    }

    public function by(): string
    {
        return $this->staff->name ?? 'Telamon';
    }

    /** @return array{id: string, words: string, at: string, record: array{kind: string, id: string, label: string, path: string|null}|null} as Change in the contract */
    public function toArray(\DateTimeZone $zone, Records $records): array
    {
        return [
            'id' => $this->id,
            'words' => $this->words,
            'at' => $this->at->setTimezone($zone)->format(\DATE_RFC3339),
            'record' => null === $this->recordKind || null === $this->recordId ? null : $records->ref($this->recordKind, $this->recordId, $this->recordLabel),
        ];
    }
}
