<?php

declare(strict_types=1);

namespace Telamon\Clients;

/** One filter of the list of clients, said in two ways: what few fit is gathered first, what many fit is tried along the order. */
final readonly class ClientFilter
{
    /**
     * @param string|null $gather a SELECT of the ids of all that fit; null where trying is the only way
     * @param string $test whether a client called c fits: a condition
     * @param array<string, string> $parameters of both
     */
    public function __construct(public ?string $gather, public string $test, public array $parameters = [])
    {
    }
}
