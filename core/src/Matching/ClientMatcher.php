<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Reading;
use Telamon\Core\Form\Readings;
use Telamon\Core\Reading\PhoneReader;

/** Finds the clients that a submission may belong to. */
final readonly class ClientMatcher
{
    private const MOST = 5;

    public function __construct(private PersonReader $people, private BlockingKeys $keys, private PhoneReader $phones)
    {
    }

    /**
     * Those who are or may be the same person, the likeliest first. Where there is nobody who is, those of the
     * same household follow.
     *
     * @return list<Candidate>
     */
    public function candidates(Readings $readings, Directory $directory): array
    {
        $person = $this->people->ofReadings($readings);
        $keys = $this->keys->of($person);
        if ([] === $keys) {
            return [];
        }
        $judge = $directory->judge();
        $found = [];
        foreach ($directory->people($keys) as $id => $other) {
            $judgement = $judge->judge($person, $other);
            if (Verdict::Different !== $judgement->verdict) {
                $found[$id] = $judgement;
            }
        }
        $asked = array_filter($found, static fn (Judgement $judgement): bool => Verdict::Household !== $judgement->verdict);
        $found = self::best([] === $asked ? $found : $asked);
        $candidates = [];
        foreach ($directory->clients(array_map(strval(...), array_keys($found))) as $id => $client) {
            $candidates[] = new Candidate($client, $found[$id]);
        }

        return $candidates;
    }

    /**
     * The candidates, and the client whom somebody chose though matching did not offer them.
     *
     * @param string $id of that client; anything that is nobody's is left alone
     * @param list<Candidate> $candidates
     *
     * @return list<Candidate>
     */
    public function with(string $id, array $candidates, Readings $readings, Directory $directory): array
    {
        if (1 !== preg_match('/^[0-9a-f-]{36}$/', $id) || [] !== array_filter($candidates, static fn (Candidate $one): bool => $one->client->id === $id)) {
            return $candidates;
        }
        $client = $directory->clients([$id])[$id] ?? null;
        $other = null === $client ? null : $directory->person($id);

        return null === $client || null === $other
            ? $candidates
            : [...$candidates, new Candidate($client, $directory->judge()->judge($this->people->ofReadings($readings), $other))];
    }

    /** @return list<ComparedField> the fields that the submission answers, beside those on file */
    public function compare(Readings $readings, Candidate $candidate): array
    {
        $client = $candidate->client;
        $fields = [];
        $name = $readings->for(Destination::ClientName);
        if (null !== $name) {
            $fields[] = $this->field('Name', $name, $name->text, $client->name, $candidate->judgement, [Field::Given, Field::Family, Field::Order], 'differs, kept as on file');
        }
        $email = $readings->for(Destination::ClientEmail);
        if (null !== $email) {
            $equal = array_filter($client->emails, static fn (string $one): bool => mb_strtolower($one) === mb_strtolower($email->text));
            $fields[] = $this->field('Email', $email, $email->text, reset($equal) ?: ($client->emails[0] ?? ''), $candidate->judgement, [Field::Email], 'differs');
        }
        $phone = $readings->for(Destination::ClientPhone);
        if (null !== $phone && '' !== $phone->string()) {
            $there = \in_array($phone->string(), $client->phones, true) ? $phone->string() : ($client->phones[0] ?? '');
            $fields[] = $this->field(
                'Phone',
                $phone,
                $this->phones->format($phone->string()),
                '' === $there ? '' : $this->phones->format($there),
                $candidate->judgement,
                [Field::Phone],
                'differs',
            );
        }
        $home = $readings->for(Destination::ClientAddress);
        $place = $home ?? $readings->for(Destination::AssetPlace);
        $known = self::known($client, $place->text ?? '');
        if (null !== $place && '' !== $known) {
            $fields[] = $this->field(null === $home ? 'Where it stands' : 'Address', $place, $place->text, $known, $candidate->judgement, [Field::Address, Field::Area], 'differs');
        }
        $organisation = $readings->for(Destination::ClientOrganisation);
        if (null !== $organisation && '' !== ($client->fields['organisation'] ?? '')) {
            $fields[] = $this->field('Organisation', $organisation, $organisation->text, $client->fields['organisation'], $candidate->judgement, [Field::Organisation], 'differs');
        }

        return $fields;
    }

    /** The place on file that is told: word for word, or else the client's address, or where their first thing stands. */
    private static function known(KnownClient $client, string $told): string
    {
        $places = array_filter(
            [$client->address, ...$client->otherAddresses, ...array_map(static fn (array $asset): string => $asset['place'] ?? '', $client->assets)],
            static fn (string $place): bool => '' !== $place,
        );
        $same = array_filter($places, static fn (string $place): bool => self::plain($place) === self::plain($told));

        return reset($same) ?: (reset($places) ?: '');
    }

    /** @param list<Field> $parts what the one shown field is made of */
    private function field(string $words, Reading $reading, string $here, string $there, Judgement $judgement, array $parts, string $differs): ComparedField
    {
        $weight = 0.0;
        $worst = Level::Same;
        foreach ($parts as $part) {
            $weight += $judgement->weights[$part->value] ?? 0.0;
            $level = $judgement->levels[$part->value] ?? Level::Missing;
            if (Level::Same === $worst && Level::Missing !== $level) {
                $worst = $level;
            }
        }
        $level = '' === $there || (Level::Missing === ($judgement->levels[$parts[0]->value] ?? Level::Missing)) ? Level::Missing : $worst;
        $same = Level::Missing !== $level && (self::plain($here) === self::plain($there) || Level::Same === $level || Level::Shared === $level);

        return new ComparedField($words, $here, '' === $there ? 'none' : $there, $same, match (true) {
            '' === $there => 'new, added',
            $same && Level::Shared !== $level => 'same',
            \in_array(Field::Order, $parts, true) && Level::Different === ($judgement->levels[Field::Order->value] ?? null) => 'names swapped',
            Level::Missing === $level, Level::Different === $level => $differs,
            default => FieldWords::level($level),
        }, $reading->question->number, $weight);
    }

    /**
     * @param array<array-key, Judgement> $found
     *
     * @return array<array-key, Judgement>
     */
    private static function best(array $found): array
    {
        // Of several who are the same, whoever agrees in more: a relative could be meant by all of them alike.
        $rank = static fn (Judgement $judgement): array => [Verdict::Same === $judgement->verdict, array_sum($judgement->weights)];
        uksort($found, static fn (string|int $a, string|int $b): int => [$rank($found[$b]), (string) $a] <=> [$rank($found[$a]), (string) $b]);

        return \array_slice($found, 0, self::MOST, true);
    }

    private static function plain(string $text): string
    {
        return mb_strtolower(trim((string) preg_replace('/[\s,.]+/u', ' ', $text)));
    }
}
