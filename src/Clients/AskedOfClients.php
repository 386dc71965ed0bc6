<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Telamon\Business\OwnFields;
use Telamon\Core\Rules\Asked;
use Telamon\Record\DeclaresFacts;

/** What rules may ask about a client. */
final readonly class AskedOfClients implements DeclaresFacts
{
    public function __construct(private OwnFields $fields)
    {
    }

    public function canAsk(string $name): bool
    {
        return \in_array($name, ['@client', '@client_tags'], true) || 1 === preg_match('/^@client\.(organisation|address|custom\.[a-z][a-z0-9_]{0,39})$/', $name);
    }

    public function asked(): iterable
    {
        yield Asked::oneOf('@client', 'the client', ['new' => 'new', 'known' => 'known', 'household' => 'of a known household']);
        yield Asked::text('@client_tags', 'the client’s tags');
        yield Asked::text('@client.address', 'the client’s address');
        yield Asked::text('@client.organisation', 'the client’s organisation');
        foreach ($this->fields->byName() as $own) {
            if ('client' === $own->record) {
                yield Asked::text("@client.custom.{$own->key}", "the client’s {$own->label}");
            }
        }
    }
}
