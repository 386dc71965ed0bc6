<?php

declare(strict_types=1);

namespace Telamon\Notices;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Clients\Client;
use Telamon\Database\Ids;
use Telamon\Projects\Project;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;
use Telamon\Staff\Staff;

/** Something that staff are told, in a room. */
#[ORM\Entity]
#[ORM\Index(columns: ['room_id', 'at', 'id'])]
class Notice implements PartOf
{
    use Setting;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /**
     * Who has it.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\ManyToOne]
    public ?Staff $holder = null;

    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly NoticeRoom $room,
        #[ORM\Column(type: 'text')]
        public readonly string $words,
        /** The rule, the follow-up or the person. */
        #[ORM\Column(name: 'written_by', length: 200)]
        public readonly string $by,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        public ?Client $client,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        public ?Project $project,
        #[ORM\Column(length: 36, nullable: true)]
        public readonly ?string $submissionId,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $at,
        ?string $id = null,
    ) {
        $this->id = $id ?? Ids::next();
    }

    public function giveTo(?Staff $staff): void
    {
        $this->holder = $staff;
    }

    public static function partKind(): string
    {
        return 'notice';
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return '/messages/notices';
    }

    public function recordLabel(): string
    {
        return mb_strimwidth(trim((string) preg_replace('/\s+/u', ' ', $this->words)), 0, 80, '…');
    }

    public function recordContext(): array
    {
        return ['client' => $this->client?->id, 'project' => $this->project?->id];
    }
}
