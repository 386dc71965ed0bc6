<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Telamon\Journal\Written;
use Telamon\Journal\WrittenRecord;
use Telamon\Record\Action;

/** Tells which clients a change has changed, by what was written: a plan, a merge, an import, a hand cannot forget to. */
#[AsEventListener]
final readonly class ClientChanges
{
    /** What rules call the fields of a client; what is not listed only serves the machine. */
    private const FIELDS = [
        'givenName' => 'name', 'familyName' => 'name', 'organisation' => 'organisation', 'address' => 'address', 'otherAddresses' => 'address',
        'owner' => 'owner', 'notes' => 'notes', 'tags' => 'tags',
    ];

    public function __construct(private EventDispatcherInterface $events)
    {
    }

    public function __invoke(Written $written): void
    {
        $clients = $fields = [];
        foreach ($written->records as $one) {
            $client = $one->record instanceof ContactPoint ? $one->record->client : $one->record;
            if ($client instanceof Client && !self::isNew($one, $client, $written)) {
                $clients[$client->id] = $client;
                $fields[$client->id] = [...$fields[$client->id] ?? [], ...self::fields($one)];
            }
        }
        foreach ($clients as $id => $client) {
            $changed = array_values(array_unique($fields[$id]));
            if ([] !== $changed && null === $client->mergedInto) {
                $event = new ClientChanged($client, $changed, $written->change);
                $this->events->dispatch($event);
                $written->touch(...$event->touched());
            }
        }
    }

    /** What a client begins with is no change of theirs. */
    private static function isNew(WrittenRecord $one, Client $client, Written $written): bool
    {
        return $one->record instanceof ContactPoint ? isset($written->made[$client->id]) : Action::Changed !== $one->action;
    }

    /** @return list<string> */
    private static function fields(WrittenRecord $one): array
    {
        if ($one->record instanceof ContactPoint) {
            return [$one->record->kind->value];
        }
        $fields = [];
        foreach (array_keys($one->after) as $property) {
            if (isset(self::FIELDS[$property])) {
                $fields[] = self::FIELDS[$property];
            }
        }
        [$before, $after] = [self::custom($one->before), self::custom($one->after)];
        foreach (array_keys($before + $after) as $key) {
            if (($before[$key] ?? null) !== ($after[$key] ?? null)) {
                $fields[] = "custom.$key";
            }
        }

        return $fields;
    }

    /**
     * @param array<string, mixed> $values
     *
     * @return array<array-key, mixed>
     */
    private static function custom(array $values): array
    {
        return \is_array($values['custom'] ?? null) ? $values['custom'] : [];
    }
}
