<?php

declare(strict_types=1);

namespace Telamon\Setup;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Symfony\Component\Messenger\MessageBusInterface;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Telamon\Access\SendPasswordLink;
use Telamon\Business\Profile;
use Telamon\Core\Reading\EmailReader;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\HandsOver;
use Telamon\Staff\Role;
use Telamon\Staff\Staff;

/** Adds people to the staff, changes what they may do, and hands over what is theirs when they leave. */
final readonly class StaffChanges
{
    private const MOST = 200;

    /** @param iterable<HandsOver> $theirs */
    public function __construct(
        private EntityManagerInterface $em,
        private SetupActs $acts,
        private Profile $business,
        private EmailReader $emails,
        private UserPasswordHasherInterface $hasher,
        private MessageBusInterface $bus,
        #[AutowireIterator('telamon.hands_over')]
        private iterable $theirs,
    ) {
    }

    /**
     * @return array{Staff, string} who it is now, and the password that is shown once
     *
     * @throws Refusal
     */
    public function add(Edit $edit, Staff $by): array
    {
        $name = $edit->text('name', 200) ?? '';
        if ('' === $name) {
            throw new InvalidInput('name', 'Write their name.');
        }
        $role = $this->role($edit, $by) ?? throw new InvalidInput('role', 'Choose what they may do.');
        $one = new Staff($this->email($edit->text('email', 254) ?? '', null), $name, self::initials($edit->text('initials', 3) ?? '', $name), $role);
        $password = $this->password($one);
        $this->acts->carryOut("added {$one->name} to the staff", $by, function () use ($one): void {
            if ($this->em->getRepository(Staff::class)->count() >= self::MOST) {
                throw new InvalidInput('name', 'There are '.self::MOST.' people already.');
            }
            $this->email($one->email, null);
            $this->em->persist($one);
        }, $one->id);

        return [$one, $password];
    }

    /** @throws Refusal */
    public function change(Staff $one, Edit $edit, Staff $by): void
    {
        $name = $edit->text('name', 200) ?? $one->name;
        if ('' === $name) {
            throw new InvalidInput('name', 'Write their name.');
        }
        $this->refuseAbove($one, $by);
        $email = $edit->text('email', 254);
        $initials = $edit->text('initials', 3);
        $role = $this->role($edit, $by) ?? $one->role;
        // Without a day, they work when the business does.
        $hours = $edit->has('hours') ? ([] === $edit->any('hours') ? [] : HoursReader::read($edit->any('hours'))) : $one->hours;
        $zone = $edit->text('zone', 60) ?? $one->zone;
        if ('' !== $zone && !\in_array($zone, \DateTimeZone::listIdentifiers(), true)) {
            throw new InvalidInput('zone', 'Choose a time zone, such as Europe/Dublin.');
        }
        $this->acts->carryOut(true === $edit->yes('active') ? "{$one->name} is back" : "changed {$one->name}", $by, function () use ($one, $edit, $name, $email, $initials, $role, $hours, $zone): void {
            if (Role::Owner === $one->role && Role::Owner !== $role) {
                $this->refuseLastOwner($one, 'role');
            }
            $one->become($name, null === $email ? $one->email : $this->email($email, $one), null === $initials ? $one->initials : self::initials($initials, $name), $role);
            $one->work($hours, $zone);
            if (true === $edit->yes('active')) {
                $one->beHere(true);
            }
            if (true === $edit->yes('coordinates')) {
                $this->business->business()->coordinateBy($one);
            }
        }, $one->id);
    }

    /**
     * Not an act that can be taken back: the password before it is known to nobody here.
     *
     * @return string shown once
     *
     * @throws Refusal
     */
    public function newPassword(Staff $one, Staff $by): string
    {
        $this->refuseAbove($one, $by);
        if (!$one->active) {
            throw new InvalidInput('active', "{$one->name} has left.");
        }
        $password = $this->password($one);
        $this->acts->noting("gave {$one->name} a new password", $by, $one->id);

        return $password;
    }

    /**
     * Sends them a link by which they choose a password themselves. Sent, it cannot be recalled; a new password, or a
     * link that was used, ends it.
     *
     * @throws Refusal
     */
    public function invite(Staff $one, Staff $by): void
    {
        $this->refuseAbove($one, $by);
        if (!$one->active) {
            throw new InvalidInput('active', "{$one->name} has left.");
        }
        $this->acts->noting("invited {$one->name} by mail", $by, $one->id);
        $this->bus->dispatch(new SendPasswordLink($one->email, true));
    }

    /** @throws Refusal */
    public function leave(Staff $one, string $to, Staff $by): void
    {
        $this->refuseAbove($one, $by);
        $heir = $this->em->find(Staff::class, $to);
        if (null === $heir || !$heir->active || $heir === $one) {
            throw new InvalidInput('handTo', 'Choose who takes over.');
        }
        if ($one === $by) {
            throw new InvalidInput('handTo', 'Somebody else has to say that you leave.');
        }
        $this->acts->carryOut("{$one->name} left; {$heir->name} takes over", $by, function () use ($one, $heir): void {
            $this->refuseLastOwner($one, 'handTo');
            foreach ($this->theirs as $things) {
                $things->hand($one, $heir);
            }
            $one->beHere(false);
        }, $one->id);
    }

    /** @return list<array{what: string, count: int}> what is theirs, as far as there is any */
    public function holds(Staff $one): array
    {
        $holds = [];
        foreach ($this->theirs as $things) {
            $count = $things->count($one);
            $holds[] = ['what' => $things->what($count), 'count' => $count];
        }

        return array_values(array_filter($holds, static fn (array $one): bool => $one['count'] > 0));
    }

    private function password(Staff $one): string
    {
        // Over 100 bits, in letters and figures that cannot be taken for one another.
        $password = implode('-', str_split(strtr(substr(base64_encode(random_bytes(24)), 0, 20), '+/0O1lI', 'abcdefg'), 5));
        $one->keepPassword($this->hasher->hashPassword($one, $password));

        return $password;
    }

    private function email(string $text, ?Staff $self): string
    {
        // In small letters, as people do not sign in with the capitals of the day.
        $email = $this->emails->read(mb_strtolower($text)) ?? throw new InvalidInput(
            'email',
            '' === $text ? 'They sign in with a mail address.' : $this->emails->fault($text) ?? 'This is no mail address.',
        );
        $there = $this->em->getRepository(Staff::class)->findOneBy(['email' => $email]);

        return null === $there || $there === $self
            ? $email
            : throw new InvalidInput('email', "{$there->name} signs in with it".($there->active ? '.' : ', and has left. Bring them back instead.'));
    }

    private static function initials(string $given, string $name): string
    {
        $words = array_values(array_filter(explode(' ', $name), static fn (string $word): bool => '' !== $word));
        $made = mb_substr($words[0] ?? '', 0, 1).(\count($words) > 1 ? mb_substr($words[\count($words) - 1], 0, 1) : mb_substr($words[0] ?? '', 1, 1));

        return mb_strtoupper('' === $given ? $made : $given);
    }

    /** Only an owner makes an owner. */
    private function role(Edit $edit, Staff $by): ?Role
    {
        $text = $edit->text('role', 20);
        $role = null === $text ? null : Role::tryFrom($text) ?? throw new InvalidInput('role', 'Choose what they may do.');

        return Role::Owner === $role && Role::Owner !== $by->role ? throw new InvalidInput('role', 'Only an owner can make somebody an owner.') : $role;
    }

    /** What an owner is called, signs in with and may do is an owner's business. */
    private function refuseAbove(Staff $one, Staff $by): void
    {
        if (Role::Owner === $one->role && Role::Owner !== $by->role) {
            throw new OwnersOnly();
        }
    }

    private function refuseLastOwner(Staff $one, string $field): void
    {
        if (Role::Owner === $one->role && 1 >= $this->em->getRepository(Staff::class)->count(['role' => Role::Owner, 'active' => true])) {
            throw new InvalidInput($field, 'There has to be an owner. Make somebody else one first.');
        }
    }
}
