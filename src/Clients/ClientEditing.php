<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\Intl\Languages;
use Telamon\Business\OwnFields;
use Telamon\Business\Profile;
use Telamon\Core\Reading\EmailReader;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Record\ChangedMeanwhile;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Writes clients down by hand: new ones, and what is on file about those that are there. */
final readonly class ClientEditing
{
    private const MOST_TAGS = 40;
    private const MOST_ADDRESSES = 10;

    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private ContactPoints $points,
        private ClientParts $parts,
        private OwnFields $fields,
        private EmailReader $emails,
        private Profile $business,
        private ClockInterface $clock,
    ) {
    }

    /** @throws Refusal where something cannot be, or the id is on file by then */
    public function make(string $id, ClientEdit $edit, Staff $staff): Client
    {
        $today = new \DateTimeImmutable($this->clock->now()->setTimezone($this->business->zone())->format('Y-m-d'), new \DateTimeZone('UTC'));
        $client = new Client('', '', '', $today, $id);
        $this->write($client, $edit);
        $this->changes->carryOut($this->change("put {$client->recordLabel()} on file", $client, $staff), function () use ($client, $edit, $staff): void {
            // Under the write lock: the same sending may have come twice within one breath.
            if (null !== $this->em->find(Client::class, $client->id)) {
                throw new ChangedMeanwhile("{$client->name()} is on file already.");
            }
            $this->em->persist($client);
            $this->reach($client, $edit);
            $this->parts->write($client, $edit, $staff);
        });

        return $client;
    }

    /** @throws Refusal where something cannot be, or was changed meanwhile */
    public function edit(Client $client, ClientEdit $edit, Staff $staff): void
    {
        $version = $edit->version();
        $this->changes->carryOut($this->change("edited {$client->recordLabel()}", $client, $staff)->looking($client, $version), function () use ($client, $edit, $staff): void {
            // As it is now, under the write lock: what was looked at may be old.
            if (null !== $client->mergedInto) {
                throw new ChangedMeanwhile("{$client->name()} is one client with {$client->mergedInto->name()} now.");
            }
            $this->write($client, $edit);
            $this->reach($client, $edit);
            $this->parts->write($client, $edit, $staff);
        });
    }

    private function write(Client $client, ClientEdit $edit): void
    {
        [$given, $family] = [$edit->text('givenName', 200) ?? $client->givenName, $edit->text('familyName', 200) ?? $client->familyName];
        $organisation = $edit->text('organisation', 200) ?? $client->organisation;
        if ('' === $given.$family.$organisation) {
            throw new InvalidInput('familyName', 'A client has a name, or is an organisation.');
        }
        // An organisation without a person goes by its own name.
        $client->rename($given, '' === $given.$family ? $organisation : $family);
        $client->become(
            $organisation,
            $edit->text('address', 300) ?? $client->address,
            $edit->texts('otherAddresses', self::MOST_ADDRESSES, 300) ?? $client->otherAddresses,
            $edit->text('notes', 10_000) ?? $client->notes,
            $edit->texts('tags', self::MOST_TAGS, 60) ?? $client->tags,
        );
        $client->reads(self::language($edit) ?? $client->language);
        $client->keepCustom($this->fields->written('client', $edit->any('custom'), $client->custom));
        $owner = $edit->text('owner', 36);
        if (null !== $owner) {
            $client->giveTo('' === $owner ? null : ($this->em->find(Staff::class, $owner) ?? throw new InvalidInput('owner', 'Choose somebody who is here.')));
        }
    }

    /** How they are reached: what is new is added, what is there becomes another. */
    private function reach(Client $client, ClientEdit $edit): void
    {
        foreach ($edit->contactPoints() as $i => $point) {
            if (null === $point['id']) {
                $value = $this->read("contactPoints.$i.value", $point['kind'], $point['value']);
                $this->refuseTwice("contactPoints.$i.value", $client, $point['kind'], $value);
                $this->points->add($client, $point['kind'], $value)?->isFor($point['purpose'] ?? '');
                continue;
            }
            $there = $this->em->find(ContactPoint::class, $point['id']);
            if (null === $there || $there->client !== $client || $there->kind !== $point['kind']) {
                throw new InvalidInput("contactPoints.$i.value", 'This is not on file any more.');
            }
            $this->em->refresh($there);
            if ($there->value !== ($point['was'] ?? $there->value)) {
                throw new ChangedMeanwhile("Somebody has made it {$there->value} meanwhile. Look again; nothing was overwritten.");
            }
            if ($point['remove']) {
                $this->points->remove($there);
                continue;
            }
            $value = $this->read("contactPoints.$i.value", $point['kind'], $point['value']);
            if ($value !== $there->value) {
                $this->refuseTwice("contactPoints.$i.value", $client, $point['kind'], $value);
            }
            $this->points->set($client, $point['kind'], $value, $there->value);
            $there->isFor($point['purpose'] ?? $there->purpose);
            // A person has looked at it.
            $there->confirm();
        }
    }

    private static function language(Edit $edit): ?string
    {
        $language = $edit->text('language', 12);

        return null === $language || '' === $language || Languages::exists($language) ? $language : throw new InvalidInput('language', 'Choose a language.');
    }

    private function read(string $path, ContactKind $kind, string $text): string
    {
        $reader = ContactKind::Email === $kind ? $this->emails : $this->business->phoneReader();

        return $reader->read($text) ?? throw new InvalidInput($path, $reader->fault($text) ?? 'This cannot be read.');
    }

    private function refuseTwice(string $path, Client $client, ContactKind $kind, string $value): void
    {
        foreach ($client->contactPoints as $point) {
            if ($point->kind === $kind && $point->value === $value) {
                throw new InvalidInput($path, 'This is on file already.');
            }
        }
    }

    private function change(string $words, Client $client, Staff $staff): Act
    {
        return Act::of(ChangeKind::Edit, $words, $staff)->about($client);
    }
}
