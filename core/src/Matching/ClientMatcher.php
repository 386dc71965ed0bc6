<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

use Telamon\Core\Form\Destination;
use Telamon\Core\Reading\EmailReader;
use Telamon\Core\Reading\PhoneReader;
use Telamon\Core\Reading\Reading;
use Telamon\Core\Reading\Readings;

/** Finds the clients that a submission may belong to: those with the same mail address. */
final readonly class ClientMatcher
{
    public function __construct(private EmailReader $emails, private PhoneReader $phones)
    {
    }

    /** @return list<KnownClient> candidates, the longest on file first */
    public function candidates(Readings $readings, Directory $directory): array
    {
        $email = $readings->for(Destination::ClientEmail)?->string() ?? '';

        return '' === $email ? [] : $directory->withEmail($this->emails->key($email));
    }

    /** @return list<ComparedField> the fields that the submission answers, beside those on file */
    public function compare(Readings $readings, KnownClient $client): array
    {
        $fields = [];
        $name = $readings->for(Destination::ClientName);
        if (null !== $name) {
            $same = self::plain($name->text) === self::plain($client->name);
            $fields[] = new ComparedField('Name', $name->text, $client->name, $same, $same ? 'same' : 'differs, kept as on file', $name->question->number);
        }
        $email = $readings->for(Destination::ClientEmail);
        if (null !== $email) {
            $fields[] = new ComparedField('Email', $email->text, $client->emails[0] ?? '', true, 'same', $email->question->number);
        }
        $phone = $this->phone($readings->for(Destination::ClientPhone), $client);
        if (null !== $phone) {
            $fields[] = $phone;
        }
        $place = $readings->for(Destination::ClientAddress) ?? $readings->for(Destination::AssetPlace);
        if (null !== $place && '' !== $client->address) {
            $same = self::plain($place->text) === self::plain($client->address);
            $fields[] = new ComparedField('Address', $place->text, $client->address, $same, $same ? 'same' : 'differs, both kept', $place->question->number);
        }

        return $fields;
    }

    private function phone(?Reading $reading, KnownClient $client): ?ComparedField
    {
        if (null === $reading || '' === $reading->string()) {
            return null;
        }
        $here = $this->phones->format($reading->string());
        if (\in_array($reading->string(), $client->phones, true)) {
            return new ComparedField('Phone', $here, $here, true, 'same', $reading->question->number);
        }
        $there = $client->phones[0] ?? null;

        return new ComparedField(
            'Phone',
            $here,
            null === $there ? 'none' : $this->phones->format($there),
            false,
            null === $there ? 'new, added' : 'differs, both kept',
            $reading->question->number,
        );
    }

    private static function plain(string $text): string
    {
        return mb_strtolower(trim((string) preg_replace('/[\s,.]+/u', ' ', $text)));
    }
}
