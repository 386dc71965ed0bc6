<?php

declare(strict_types=1);

namespace Telamon\Notices;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Telamon\Business\Profile;
use Telamon\Core\Effects\PostNotice;
use Telamon\Core\Time\OnCall;
use Telamon\Database\DatabaseUpdated;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Record\Edit;
use Telamon\Record\FreeKey;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** The rooms of the notice board. There is always one. */
final readonly class Rooms
{
    private const MOST = 30;

    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private Profile $business,
        #[Autowire(env: 'bool:TELAMON_POST_PRIVATE')] private bool $postsPrivately,
    ) {
    }

    #[AsEventListener]
    public function __invoke(DatabaseUpdated $event): void
    {
        if (0 === $this->em->getRepository(NoticeRoom::class)->count([])) {
            $this->changes->carryOut(Act::of(ChangeKind::Setup, 'opened the first room of the notice board'), function (): void {
                $room = new NoticeRoom('desk', 'Desk');
                $room->become('Desk', 'what everybody should know', false, []);
                $this->em->persist($room);
            });
        }
    }

    /** @return list<NoticeRoom> */
    public function all(): array
    {
        return $this->em->getRepository(NoticeRoom::class)->findBy([], ['id' => 'ASC']);
    }

    /** @return array<string, string> names by key */
    public function names(): array
    {
        $names = [];
        foreach ($this->all() as $room) {
            $names[$room->key] = $room->name;
        }

        return $names;
    }

    /** @return array<string, string> the same under the names that plans ask for */
    public function namesForPlans(): array
    {
        $names = [];
        foreach ($this->names() as $key => $name) {
            $names[PostNotice::NAMED.$key] = $name;
        }

        return $names;
    }

    /** @return NoticeRoom|null the first one where there is none of that key */
    public function find(string $key): ?NoticeRoom
    {
        return $this->em->getRepository(NoticeRoom::class)->findOneBy(['key' => $key]) ?? $this->all()[0] ?? null;
    }

    /** @throws Refusal */
    public function add(Edit $edit, bool $closed, Staff $staff): NoticeRoom
    {
        $name = $this->name($edit, null);

        return $this->changes->carryOut($this->act("opened the room $name", $staff, null), function () use ($name, $edit, $closed): NoticeRoom {
            $there = $this->all();
            if (\count($there) >= self::MOST) {
                throw new InvalidInput('name', 'There are '.self::MOST.' rooms already.');
            }
            $room = new NoticeRoom(FreeKey::of($name, array_map(static fn (NoticeRoom $one): string => $one->key, $there)), $name);
            $room->become($name, $edit->text('about', 200) ?? '', $closed, $this->members($edit, $closed));
            $this->reach($room, $edit);
            $this->em->persist($room);

            return $room;
        });
    }

    /** @throws Refusal */
    public function change(NoticeRoom $room, Edit $edit, bool $closed, Staff $staff): void
    {
        $name = $this->name($edit, $room);
        $members = $this->members($edit, $closed);
        $this->changes->carryOut($this->act("changed the room $name", $staff, $room), function () use ($room, $name, $edit, $closed, $members): void {
            $room->become($name, $edit->text('about', 200) ?? $room->about, $closed, $members);
            $this->reach($room, $edit);
        });
    }

    /** @throws InvalidInput */
    private function name(Edit $edit, ?NoticeRoom $but): string
    {
        $name = $edit->text('name', 60) ?? '';
        if ('' === $name) {
            throw new InvalidInput('name', 'Give the room a name.');
        }
        foreach ($this->all() as $one) {
            if ($one !== $but && mb_strtolower($one->name) === mb_strtolower($name)) {
                throw new InvalidInput('name', 'There is a room of that name already.');
            }
        }

        return $name;
    }

    /**
     * @return list<string> ids
     *
     * @throws InvalidInput
     */
    private function members(Edit $edit, bool $closed): array
    {
        $members = $edit->texts('members', 200, 36) ?? [];
        if (\count($this->em->getRepository(Staff::class)->findBy(['id' => $members])) !== \count($members)) {
            throw new InvalidInput('members', 'Somebody is not on file any more. Choose again.');
        }
        if ($closed && [] === $members) {
            throw new InvalidInput('members', 'Say who may enter a closed room.');
        }

        return $members;
    }

    /** @throws InvalidInput */
    private function reach(NoticeRoom $room, Edit $edit): void
    {
        if ($edit->has('onCall')) {
            $room->call($this->onCall($edit, $room));
        }
        if ($edit->has('postTo')) {
            $address = $edit->text('postTo', 500) ?? '';
            $host = parse_url($address, \PHP_URL_HOST);
            if (
                '' !== $address
                && (1 !== preg_match(
                    $this->postsPrivately ? '#^https?://#i' : '#^https://#i',
                    $address,
                ) || false === filter_var($address, \FILTER_VALIDATE_URL) || !\is_string($host))
            ) {
                throw new InvalidInput('postTo', 'Write an address that begins with https://.');
            }
            $room->postTo($address);
        }
    }

    /**
     * @return list<array{staff: string, days: list<int>, from: string, until: string}>
     *
     * @throws InvalidInput
     */
    private function onCall(Edit $edit, NoticeRoom $room): array
    {
        $hours = [];
        foreach ($edit->parts('onCall') as $i => $one) {
            $staff = $this->em->find(Staff::class, $one->text('staff', 36) ?? '');
            if (null === $staff || !$staff->active || !$room->admits($staff)) {
                throw new InvalidInput("onCall.$i.staff", 'Choose somebody who may enter the room.');
            }
            try {
                $read = new OnCall(self::days($one->any('days')), $one->text('from', 5) ?? '', $one->text('until', 5) ?? '');
            } catch (\InvalidArgumentException $error) {
                throw new InvalidInput("onCall.$i.days", $error->getMessage());
            }
            if (\count($hours) >= self::MOST) {
                throw new InvalidInput('onCall', 'At most '.self::MOST.' hours.');
            }
            $hours[] = ['staff' => $staff->id, 'days' => $read->days, 'from' => $read->from, 'until' => $read->until];
        }

        return $hours;
    }

    /** @return list<int> */
    private static function days(mixed $given): array
    {
        return \is_array($given) && \count($given) <= 7 ? array_values(array_filter($given, is_int(...))) : [];
    }

    private function act(string $words, Staff $staff, ?NoticeRoom $room): Act
    {
        $business = $this->business->business();

        return Act::of(ChangeKind::Settings, $words, $staff)->on('business', $room->id ?? $business->id, $room->name ?? $business->name);
    }
}
