<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;

/** The two sides of a paper as they are on file now. */
final readonly class Parties
{
    public function __construct(private Profile $business)
    {
    }

    public function business(): Party
    {
        $business = $this->business->business();

        return new Party(
            $business->name,
            $business->address,
            $business->phone,
            $this->business->phoneReader()->format($business->phone),
            $business->email,
            $business->vatNumber,
            $business->region,
        );
    }

    public function client(Client $client): Party
    {
        $phone = $client->first(ContactKind::Phone) ?? '';

        return new Party($client->name(), $client->address, $phone, '' === $phone ? '' : $this->business->phoneReader()->format($phone), $client->first(ContactKind::Email) ?? '');
    }

    /** The colour of the line at the head. */
    public function accent(): string
    {
        $accent = $this->business->business()->accent;

        return '' === $accent ? '#21262B' : $accent;
    }
}
