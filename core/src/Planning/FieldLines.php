<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Effects\AddContact;
use Telamon\Core\Effects\AddTags;
use Telamon\Core\Effects\AddWish;
use Telamon\Core\Effects\FieldChange;
use Telamon\Core\Effects\SetField;
use Telamon\Core\Form\CustomKind;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Reading;
use Telamon\Core\Matching\KnownClient;
use Telamon\Core\Plan\DayChoice;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Reading\PhoneReader;

/** The plan's lines about single fields, tags, contacts and wishes: what an answer changes beyond the usual records. */
final readonly class FieldLines
{
    private const CLIENT = [
        'organisation' => Destination::ClientOrganisation,
        'notes' => Destination::ClientNotes,
    ];
    private const CONTACT = [
        'name' => Destination::ContactName,
        'role' => Destination::ContactRole,
        'email' => Destination::ContactEmail,
        'phone' => Destination::ContactPhone,
    ];

    public function __construct(private ?PhoneReader $phones = null)
    {
    }

    /**
     * Lines about the client; they stand after the line that says who it is.
     *
     * @param array<string, string> $decisions
     *
     * @return list<PlanLine>
     */
    public function client(PlanInput $input, array $decisions, ?KnownClient $client): array
    {
        $lines = [];
        foreach (self::CLIENT as $field => $destination) {
            $reading = $input->readings->for($destination);
            if (null !== $reading) {
                // Notes grow; what is there is never replaced.
                $known = 'notes' === $field ? [] : [$client->fields[$field] ?? ''];
                $lines[] = (new FieldChange("field.{$reading->question->key}", 'Client', 'client', $field, ucfirst($field)))->line($reading, $reading->text, $input->sentText($reading), $known, $decisions);
            }
        }

        return [...$this->reach($input, $decisions, $client), ...$lines, ...$this->tags($input, Destination::ClientTags, 'client', 'Client'), ...$this->contact($input), ...$this->custom($input, $decisions, Destination::ClientCustom, $client)];
    }

    /**
     * Lines about the project and what it is done on; they stand after the lines that open it.
     *
     * @param array<string, string> $decisions
     * @param bool $hasAsset whether the plan names one; without, what is told of it stands in the notes
     *
     * @return list<PlanLine>
     */
    public function project(PlanInput $input, array $decisions, bool $hasAsset): array
    {
        $budget = $input->readings->for(Destination::ProjectBudget);

        return [
            ...(null === $budget ? [] : [(new FieldChange("field.{$budget->question->key}", 'Project', 'project', 'budget', 'Budget'))->line($budget, $budget->text, null, [], $decisions)]),
            ...($hasAsset ? $this->custom($input, $decisions, Destination::AssetCustom, null) : []),
            ...$this->custom($input, $decisions, Destination::ProjectCustom, null),
            ...$this->tags($input, Destination::ProjectTags, 'project', 'Project'),
            ...$this->wish($input, Destination::AppointmentWish, 'appointment', 'an appointment'),
            ...$this->wish($input, Destination::QuoteWish, 'quote', 'the quote'),
        ];
    }

    /**
     * Mail address, phone and postal address of somebody who is on file: a line each where they are not there so.
     *
     * @param array<string, string> $decisions
     *
     * @return list<PlanLine>
     */
    private function reach(PlanInput $input, array $decisions, ?KnownClient $client): array
    {
        if (null === $client) {
            return [];
        }
        $lines = [];
        $fold = static fn (string $text): string => mb_strtolower(trim($text));
        $phones = $this->phones;
        $shown = static fn (string $phone): string => $phones?->format($phone) ?? $phone;
        foreach ([
            ['email', 'Email', Destination::ClientEmail, $client->emails, $fold, null],
            ['phone', 'Phone', Destination::ClientPhone, $client->phones, $fold, $shown],
        ] as [$field, $label, $destination, $known, $plain, $words]) {
            $reading = $input->readings->for($destination);
            if (null !== $reading && '' !== $reading->string()) {
                $lines[] = (new FieldChange("field.$field", 'Client', 'client', $field, $label, true, 'both'))->line($reading, $reading->string(), $input->sentValue($reading), $known, $decisions, $plain, $words);
            }
        }
        $home = $input->readings->for(Destination::ClientAddress);
        $place = $input->readings->for(Destination::AssetPlace);
        if (null !== $home) {
            $lines[] = (new FieldChange('field.address', 'Client', 'client', 'address', 'Address', true, 'both', true))->line($home, $home->text, $input->sentText($home), [$client->address, ...$client->otherAddresses], $decisions);
        } elseif (null !== $place && '' === $client->address) {
            // Where it stands is where they live, as long as nothing else is known.
            $lines[] = (new FieldChange('field.address', 'Client', 'client', 'address', 'Address'))->line($place, $place->text, null, [], $decisions);
        }

        // What is on file as it was written needs no line of its own.
        return array_values(array_filter($lines, static fn (PlanLine $line): bool => null !== $line->effect || null !== $line->choice));
    }

    /**
     * @param array<string, string> $decisions
     *
     * @return list<PlanLine>
     */
    private function custom(PlanInput $input, array $decisions, Destination $destination, ?KnownClient $client): array
    {
        $lines = [];
        $record = $destination->customOf() ?? '';
        foreach ($input->readings->allFor($destination) as $reading) {
            $field = $input->customField($reading);
            if (null === $field || $reading->line > 0) {
                continue;
            }
            $group = 'client' === $record ? 'Client' : 'Project';
            if (CustomKind::Day === $field->kind) {
                $key = "field.{$reading->question->key}";
                $day = DayChoice::of($reading, $key, $decisions, $input->today);
                $effect = null === $day->day ? null : new SetField($record, "custom.{$field->key}", $day->day->format('Y-m-d'));
                $lines[] = $day->line($reading, $key, $group, "{$field->label}: ", $input->today, $effect);
            } else {
                $value = CustomKind::Text === $field->kind ? $reading->text : $reading->string();
                $lines[] = (new FieldChange("field.{$reading->question->key}", $group, $record, "custom.{$field->key}", $field->label))->line($reading, $value, CustomKind::Text === $field->kind ? $input->sentText($reading) : $input->sentValue($reading), [$client->fields["custom.{$field->key}"] ?? ''], $decisions);
            }
        }

        return $lines;
    }

    /** @return list<PlanLine> */
    private function tags(PlanInput $input, Destination $destination, string $record, string $group): array
    {
        return array_map(static fn (Reading $reading): PlanLine => new PlanLine(
            "tags.{$reading->question->key}",
            $group,
            [Part::words('Tag '.('client' === $record ? 'the client ' : 'it ')), Part::value(implode(', ', $reading->texts()), $reading->question->number)],
            new AddTags($record, $reading->texts()),
        ), $input->readings->allFor($destination));
    }

    /** @return list<PlanLine> */
    private function contact(PlanInput $input): array
    {
        $values = ['name' => '', 'role' => '', 'email' => '', 'phone' => ''];
        $parts = [];
        foreach (self::CONTACT as $field => $destination) {
            $reading = $input->readings->for($destination);
            if (null !== $reading) {
                $values[$field] = \in_array($field, ['email', 'phone'], true) ? $reading->string() : $reading->text;
                array_push($parts, Part::words([] === $parts ? 'Add the contact ' : ', '), Part::value($reading->text, $reading->question->number));
            }
        }

        return [] === $parts ? [] : [new PlanLine('contact', 'Client', $parts, new AddContact($values['name'], $values['role'], $values['email'], $values['phone']))];
    }

    /** @return list<PlanLine> */
    private function wish(PlanInput $input, Destination $destination, string $kind, string $words): array
    {
        $readings = $input->readings->allFor($destination);
        if ([] === $readings) {
            return [];
        }
        $parts = [];
        $told = [];
        foreach ($readings as $i => $reading) {
            array_push($parts, Part::words(0 === $i ? "Wish for $words: " : '; '), Part::value($reading->text, $reading->question->number));
            $told[] = "{$reading->question->wording} {$reading->text}";
        }

        return [new PlanLine("wish.$kind", 'Project', $parts, new AddWish($kind, implode("\n", $told)))];
    }
}
