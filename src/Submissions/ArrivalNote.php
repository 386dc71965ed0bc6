<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\PartOf;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;
use Telamon\Staff\WrittenWith;

/** What somebody of the staff noted beside a submission, for colleagues. */
#[ORM\Entity]
#[WrittenWith(Permission::Decide)]
#[ORM\Index(columns: ['submission_id', 'at'])]
class ArrivalNote implements PartOf
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly Submission $submission,
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly Staff $staff,
        #[ORM\Column(length: 2000)]
        public readonly string $text,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $at,
    ) {
        $this->id = Ids::next();
    }

    public function recordKind(): string
    {
        return 'submission';
    }

    public function recordLabel(): string
    {
        return 'Note: '.mb_substr($this->text, 0, 100);
    }

    public static function partKind(): string
    {
        return 'note';
    }

    public static function isReadWithClient(): bool
    {
        return false;
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return null;
    }

    public function recordContext(): array
    {
        return $this->submission->recordContext();
    }
}
