<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Messages\Message;
use Telamon\Messages\MessageQueue;
use Telamon\Projects\Project;

/** Asks a client to choose a time. Call it inside a change. */
final readonly class OfferMails
{
    public function __construct(private MessageQueue $messages, private Profile $business)
    {
    }

    /** @return Message|null null where the client has no mail address */
    public function send(Client $client, ?Project $project, string $title, string $address): ?Message
    {
        $email = $client->first(ContactKind::Email) ?? '';

        return '' === $email
            ? null
            : $this->messages->queue(
                'choose-time',
                $email,
                $client->name(),
                ['first_name' => $client->givenName, 'visit' => $title, 'link' => $address, 'coordinator' => $this->business->coordinator()->name],
                $client,
                $project,
                null,
                held: true,
            );
    }
}
