<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Reading;
use Telamon\Core\Reading\NameReader;
use Telamon\Submissions\ReadAnswers;

/** What is known of whoever books, from what they filled in or from their record: it is not asked again. */
final readonly class WhoBooks
{
    /** @var array<string, string> how it is told that it is known */
    private const KNOWN = [
        'client.name' => 'your name',
        'client.email' => 'your mail address',
        'client.phone' => 'your number',
        'client.address' => 'your address',
        'asset.place' => 'where we should come',
        'asset.description' => 'what it is about',
    ];

    public function __construct(private PlacesOnFile $places, private ReadAnswers $answered, private NameReader $names, private Profile $business)
    {
    }

    /** @return array{name: string, first: string, email: string, phone: string, address: string, known: list<array{label: string, value: string, what: string}>} */
    public function of(Begun $begun): array
    {
        return null === $begun->submission ? $this->ofClient($begun) : $this->ofSubmission($begun);
    }

    /** @return array{name: string, first: string, email: string, phone: string, address: string, known: list<array{label: string, value: string, what: string}>} */
    private function ofSubmission(Begun $begun): array
    {
        $submission = $begun->submission ?? throw new \LogicException('there is one');
        $readings = $this->answered->of($submission);
        $known = [];
        foreach (self::KNOWN as $destination => $what) {
            $reading = $readings->for(Destination::from($destination));
            if (null !== $reading) {
                $known[] = ['label' => $reading->question->wording, 'value' => $reading->text, 'what' => $what];
            }
        }
        $text = static fn (Destination $of): string => $readings->for($of)->text ?? '';
        $email = $readings->for(Destination::ClientEmail);

        return [
            'name' => $text(Destination::ClientName),
            'first' => $this->names->read($text(Destination::ClientName))->given,
            'email' => $email instanceof Reading ? $email->string() : '',
            'phone' => $readings->for(Destination::ClientPhone)?->string() ?? '',
            'address' => '' === $text(Destination::AssetPlace) ? $text(Destination::ClientAddress) : $text(Destination::AssetPlace),
            'known' => $known,
        ];
    }

    /** The one place where a client's things stand; empty where there is none, or several. */
    private function only(Client $client): string
    {
        $places = $this->places->of($client);

        return 1 === \count($places) ? $places[0] : '';
    }

    /** @return array{name: string, first: string, email: string, phone: string, address: string, known: list<array{label: string, value: string, what: string}>} */
    private function ofClient(Begun $begun): array
    {
        $client = $begun->client ?? throw new \LogicException('there is one');
        $place = $begun->project->asset->place ?? '';
        $place = '' === $place && '' === $client->address ? $this->only($client) : $place;
        $phone = $client->first(ContactKind::Phone) ?? '';
        $known = array_values(array_filter([
            ['label' => 'Name', 'what' => 'your name', 'value' => $client->name()],
            ['label' => 'Email', 'what' => 'your mail address', 'value' => $client->first(ContactKind::Email) ?? ''],
            ['label' => 'Phone', 'what' => 'your number', 'value' => '' === $phone ? '' : $this->business->phoneReader()->format($phone)],
            ['label' => 'Address', 'what' => 'your address', 'value' => '' === $place ? $client->address : $place],
        ], static fn (array $one): bool => '' !== $one['value']));

        return [
            'name' => $client->name(),
            'first' => $client->givenName,
            'email' => $client->first(ContactKind::Email) ?? '',
            'phone' => $phone,
            'address' => '' === $place ? $client->address : $place,
            'known' => $known,
        ];
    }
}
