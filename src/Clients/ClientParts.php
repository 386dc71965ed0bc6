<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\OwnFields;
use Telamon\Business\Profile;
use Telamon\Core\Reading\EmailReader;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Staff\Staff;

/** What belongs to a client and is written by hand: contacts, links to other clients, consents, and what they have. Call it inside a change. */
final readonly class ClientParts
{
    public function __construct(
        private EntityManagerInterface $em,
        private EmailReader $emails,
        private Profile $business,
        private OwnFields $fields,
        private ClockInterface $clock,
    ) {
    }

    /** @throws InvalidInput */
    public function write(Client $client, Edit $edit, Staff $staff): void
    {
        foreach ($edit->parts('contacts') as $i => $part) {
            $this->contact($client, $part, "contacts.$i");
        }
        foreach ($edit->parts('links') as $i => $part) {
            $this->link($client, $part, "links.$i");
        }
        foreach ($edit->parts('consents') as $i => $part) {
            $this->consent($client, $part, $staff, "consents.$i");
        }
        foreach ($edit->parts('assets') as $i => $part) {
            $this->asset($client, $part, "assets.$i");
        }
    }

    private function contact(Client $client, Edit $edit, string $path): void
    {
        $there = $this->there(Contact::class, $client, $edit, $path);
        if ($this->removed($there, $edit)) {
            return;
        }
        $email = $edit->text('email', 254) ?? $there->email ?? '';
        $phone = $edit->text('phone', 40) ?? $there->phone ?? '';
        $values = [
            $edit->text('name', 200) ?? $there->name ?? '',
            $edit->text('role', 200) ?? $there->role ?? '',
            '' === $email ? '' : ($this->emails->read($email) ?? throw new InvalidInput("$path.email", $this->emails->fault($email) ?? 'This is no mail address.')),
            '' === $phone ? '' : ($this->business->phoneReader()->read($phone) ?? throw new InvalidInput(
                "$path.phone",
                $this->business->phoneReader()->fault($phone) ?? 'This is no phone number.',
            )),
        ];
        if ('' === $values[0]) {
            throw new InvalidInput("$path.name", 'Write their name.');
        }
        null === $there ? $this->em->persist(new Contact($client, ...$values)) : $there->become(...$values);
    }

    private function link(Client $client, Edit $edit, string $path): void
    {
        $id = $edit->text('id', 36);
        if (null !== $id) {
            $there = $this->em->find(ClientLink::class, $id);
            if (null !== $there && \in_array($client, [$there->client, $there->other], true) && true === $edit->yes('remove')) {
                $this->em->remove($there);
            }

            return;
        }
        $kind = LinkKind::tryFrom($edit->text('kind', 20) ?? '') ?? throw new InvalidInput("$path.kind", 'Say what they have to do with one another.');
        $other = $this->em->find(Client::class, $edit->text('other', 36) ?? '');
        $other = $other->mergedInto ?? $other;
        if (null === $other || $other === $client) {
            throw new InvalidInput("$path.other", 'Choose another client who is on file.');
        }
        if (null === $this->em->getRepository(ClientLink::class)->findOneBy(['client' => $client, 'other' => $other, 'kind' => $kind])) {
            $this->em->persist(new ClientLink($client, $other, $kind));
        }
    }

    private function consent(Client $client, Edit $edit, Staff $staff, string $path): void
    {
        if ($this->removed($this->there(Consent::class, $client, $edit, $path), $edit)) {
            return;
        }
        $what = $edit->text('what', 100) ?? '';
        $wording = $edit->text('wording', 2000) ?? '';
        if ('' === $what) {
            throw new InvalidInput("$path.what", 'Say what it is about.');
        }
        if ('' === $wording) {
            throw new InvalidInput("$path.wording", 'Write the words that they were asked in.');
        }
        $day = $edit->day('day') ?? new \DateTimeImmutable($this->clock->now()->setTimezone($this->business->zone())->format('Y-m-d'), new \DateTimeZone('UTC'));
        $given = $edit->yes('given') ?? throw new InvalidInput("$path.given", 'Say yes or no.');
        $this->em->persist(new Consent($client, $staff, $what, $wording, $given, $day, $edit->text('way', 40) ?? ''));
    }

    private function asset(Client $client, Edit $edit, string $path): void
    {
        $there = $this->there(Asset::class, $client, $edit, $path);
        if ($this->removed($there, $edit)) {
            return;
        }
        $description = $edit->text('description', 300) ?? $there->description ?? '';
        if ('' === $description) {
            throw new InvalidInput("$path.description", 'Say what it is.');
        }
        $asset = $there ?? new Asset($client, $description, '');
        $asset->isCalled($description, $edit->text('place', 300) ?? $asset->place);
        $asset->describe(
            $edit->text('make', 100) ?? $asset->make,
            $edit->text('model', 100) ?? $asset->model,
            $edit->text('serialNumber', 100) ?? $asset->serialNumber,
            $edit->text('notes', 10_000) ?? $asset->notes,
            $this->fields->written('asset', $edit->any('custom'), $asset->custom),
        );
        $this->em->persist($asset);
    }

    /**
     * @template T of Contact|Consent|Asset
     *
     * @param class-string<T> $class
     *
     * @return T|null null for a new one
     *
     * @throws InvalidInput where it is gone, or another client's
     */
    private function there(string $class, Client $client, Edit $edit, string $path): ?object
    {
        $id = $edit->text('id', 36);
        if (null === $id) {
            return null;
        }
        $there = $this->em->find($class, $id);

        return null !== $there && $there->client === $client ? $there : throw new InvalidInput($path, 'This is not on file any more.');
    }

    private function removed(?object $there, Edit $edit): bool
    {
        if (null === $there || true !== $edit->yes('remove')) {
            return false;
        }
        $this->em->remove($there);

        return true;
    }
}
