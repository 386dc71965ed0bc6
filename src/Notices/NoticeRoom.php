<?php

declare(strict_types=1);

namespace Telamon\Notices;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Core\Time\OnCall;
use Telamon\Database\Ids;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;
use Telamon\Staff\WrittenWith;

/** A room of the notice board. */
#[ORM\Entity]
#[WrittenWith(Permission::Write)]
class NoticeRoom implements PartOf
{
    use Setting;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 200, options: ['default' => ''])]
    public string $about = '';

    /**
     * Whether only its members may read it.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => false])]
    public bool $closed = false;

    /**
     * @var list<string> ids of staff; empty for everybody
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $members = [];

    /**
     * Who is reached at once, and when.
     *
     * @var list<array{staff: string, days: list<int>, from: string, until: string}>
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $onCall = [];

    /**
     * Address of a chat of the business's own that gets every notice; empty for none.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 500, options: ['default' => ''])]
    public string $postTo = '';

    /**
     * What those posts are signed with; see SignedPost.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 80, options: ['default' => ''])]
    public string $secret = '';

    public function __construct(
        #[ORM\Column(name: 'code', length: 40, unique: true)]
        public readonly string $key,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 60)]
        public string $name,
    ) {
        $this->id = Ids::next();
    }

    /** @param list<string> $members ids of staff */
    public function become(string $name, string $about, bool $closed, array $members): void
    {
        $this->name = $name;
        $this->about = $about;
        $this->closed = $closed;
        $this->members = $members;
    }

    /** @param list<array{staff: string, days: list<int>, from: string, until: string}> $onCall */
    public function call(array $onCall): void
    {
        $this->onCall = $onCall;
    }

    /** @return list<string> ids of staff who are on call @param \DateTimeImmutable $local by the clock of the business */
    public function onCallAt(\DateTimeImmutable $local): array
    {
        return array_values(array_unique(array_column(
            array_filter($this->onCall, static fn (array $one): bool => (new OnCall($one['days'], $one['from'], $one['until']))->covers($local)),
            'staff',
        )));
    }

    /** Another address gets another secret: who had the old one cannot speak for the new. */
    public function postTo(string $address): void
    {
        if ($address !== $this->postTo) {
            $this->postTo = $address;
            $this->secret = '' === $address ? '' : SignedPost::newSecret();
        }
    }

    public function admits(Staff $staff): bool
    {
        return !$this->closed || \in_array($staff->id, $this->members, true);
    }

    public function isFor(Staff $staff): bool
    {
        return [] === $this->members || \in_array($staff->id, $this->members, true);
    }

    public static function partKind(): string
    {
        return 'room';
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return "/messages/notices/$id";
    }

    public function recordLabel(): string
    {
        return $this->name;
    }
}
