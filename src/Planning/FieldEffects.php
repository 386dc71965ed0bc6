<?php

declare(strict_types=1);

namespace Telamon\Planning;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Clients\Asset;
use Telamon\Clients\Client;
use Telamon\Clients\Contact;
use Telamon\Clients\ContactKind;
use Telamon\Clients\ContactPoints;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\Making;
use Telamon\Projects\Project;
use Telamon\Record\Journaled;
use Telamon\Staff\Staff;

/** Writes the plan lines about single fields, tags, contacts and wishes. */
final readonly class FieldEffects
{
    public function __construct(private EntityManagerInterface $em, private ContactPoints $points)
    {
    }

    /** @return list<Journaled> */
    public function set(Effect $effect, Making $made): array
    {
        $record = match ($effect->text('record')) {
            'client' => $made->client(),
            'project' => $made->project(),
            'asset' => $made->asset,
            default => throw new \LogicException('the plan names a record that has no fields'),
        };
        [$field, $value] = [$effect->text('field'), $effect->text('value')];
        if (null === $record) {
            return [];
        }
        if ($record instanceof Client && \in_array($field, ['email', 'phone', 'address', 'owner'], true)) {
            match ($field) {
                'email' => $this->points->set($record, ContactKind::Email, $effect),
                'phone' => $this->points->set($record, ContactKind::Phone, $effect),
                'address' => self::address($record, $effect),
                'owner' => $record->owner = $this->em->find(Staff::class, $value) ?? throw new \LogicException('the plan names staff who are not on file'),
            };

            return [$record];
        }
        match (true) {
            str_starts_with($field, 'custom.') => $record->custom = [substr($field, 7) => $value] + $record->custom,
            $record instanceof Client && 'organisation' === $field => $record->organisation = mb_substr($value, 0, 200),
            $record instanceof Client && 'notes' === $field => $record->notes = trim("{$record->notes}\n\n$value"),
            $record instanceof Project && 'notes' === $field => $record->notes = trim("{$record->notes}\n\n$value"),
            $record instanceof Project && 'stage' === $field => $record->stage = mb_substr($value, 0, 40),
            $record instanceof Project && 'lead' === $field => $record->lead = $this->em->find(Staff::class, $value) ?? throw new \LogicException('the plan names staff who are not on file'),
            $record instanceof Project && 'budget' === $field => $record->budget = mb_substr($value, 0, 200),
            $record instanceof Asset && 'make' === $field => $record->make = mb_substr($value, 0, 200),
            $record instanceof Asset && 'model' === $field => $record->model = mb_substr($value, 0, 200),
            $record instanceof Asset && 'serial' === $field => $record->serialNumber = mb_substr($value, 0, 200),
            $record instanceof Asset && 'place' === $field => $record->place = mb_substr($value, 0, 300),
            default => throw new \LogicException("the plan names the field $field, which is not there"),
        };

        // Assets are told when they are made or found.
        return $record instanceof Asset ? [] : [$record];
    }

    /** Another address beside those on file, or one in the place of another. */
    private static function address(Client $client, Effect $effect): void
    {
        [$value, $old] = [mb_substr($effect->text('value'), 0, 300), $effect->text('old')];
        if ('' === $client->address || ('replace' === $effect->text('mode') && $old === $client->address)) {
            $client->address = $value;
        } elseif ('replace' === $effect->text('mode')) {
            $client->otherAddresses = array_map(static fn (string $one): string => $one === $old ? $value : $one, $client->otherAddresses);
        } else {
            $client->otherAddresses = [...$client->otherAddresses, $value];
        }
    }

    public function tag(Effect $effect, Making $made): Client|Project
    {
        $record = 'client' === $effect->text('record') ? $made->client() : $made->project();
        $record->tags = array_values(array_unique([...$record->tags, ...array_map(static fn (string $tag): string => mb_substr(trim($tag), 0, 60), $effect->texts('tags'))]));

        return $record;
    }

    public function contact(Effect $effect, Making $made): Contact
    {
        $contact = new Contact($made->client(), $effect->text('name'), $effect->text('role'), $effect->text('email'), $effect->text('phone'));
        $this->em->persist($contact);

        return $contact;
    }

    public function wish(Effect $effect, Making $made): Project
    {
        $project = $made->project();
        $project->wishes = [$effect->text('kind') => $effect->text('text')] + $project->wishes;

        return $project;
    }
}
