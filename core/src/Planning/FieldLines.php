<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Form\CustomKind;
use Telamon\Core\Form\Destination;
use Telamon\Core\Matching\KnownClient;
use Telamon\Core\Reading\Reading;

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
                $lines[] = $this->setOrTell($client, 'client', 'Client', $field, ucfirst($field), $reading, $reading->text);
            }
        }

        return [...$lines, ...$this->tags($input, Destination::ClientTags, 'client', 'Client'), ...$this->contact($input), ...$this->custom($input, $decisions, Destination::ClientCustom, $client)];
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
            ...(null === $budget ? [] : [$this->setOrTell(null, 'project', 'Project', 'budget', 'Budget', $budget, $budget->text)]),
            ...($hasAsset ? $this->custom($input, $decisions, Destination::AssetCustom, null) : []),
            ...$this->custom($input, $decisions, Destination::ProjectCustom, null),
            ...$this->tags($input, Destination::ProjectTags, 'project', 'Project'),
            ...$this->wish($input, Destination::AppointmentWish, 'appointment', 'an appointment'),
            ...$this->wish($input, Destination::QuoteWish, 'quote', 'the quote'),
        ];
    }

    private function setOrTell(?KnownClient $client, string $record, string $group, string $field, string $label, Reading $reading, string $value): PlanLine
    {
        $number = $reading->question->number;
        $known = $client->fields[$field] ?? '';
        if ('' !== $known && mb_strtolower($known) !== mb_strtolower($value)) {
            return new PlanLine("field.{$reading->question->key}", $group, [Part::words("$label stays "), Part::value($known), Part::words('; they wrote '), Part::value($reading->text, $number)], null, '', 'on file already');
        }

        return new PlanLine("field.{$reading->question->key}", $group, [Part::words("$label: "), Part::value($reading->text, $number)], $known === $value ? null : new Effect(EffectKind::SetField, ['record' => $record, 'field' => $field, 'value' => $value]), '', $known === $value ? 'as on file' : '');
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
                $effect = null === $day->day ? null : new Effect(EffectKind::SetField, ['record' => $record, 'field' => "custom.{$field->key}", 'value' => $day->day->format('Y-m-d')]);
                $lines[] = $day->line($reading, $key, $group, "{$field->label}: ", $input->today, $effect);
            } else {
                $value = CustomKind::Text === $field->kind ? $reading->text : $reading->string();
                $lines[] = $this->setOrTell($client, $record, $group, "custom.{$field->key}", $field->label, $reading, $value);
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
            new Effect(EffectKind::AddTags, ['record' => $record, 'tags' => $reading->texts()]),
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

        return [] === $parts ? [] : [new PlanLine('contact', 'Client', $parts, new Effect(EffectKind::AddContact, $values))];
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

        return [new PlanLine("wish.$kind", 'Project', $parts, new Effect(EffectKind::AddWish, ['kind' => $kind, 'text' => implode("\n", $told)]))];
    }
}
