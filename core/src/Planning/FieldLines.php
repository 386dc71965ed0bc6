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
use Telamon\Core\Plan\Sources;

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
    public function client(PlanContext $now, array $decisions, ?KnownClient $client): array
    {
        $lines = [];
        foreach (self::CLIENT as $field => $destination) {
            $reading = $now->inquiry->readings->for($destination);
            if (null !== $reading) {
                // Notes grow; what is there is never replaced.
                $known = 'notes' === $field ? [] : [$client->fields[$field] ?? ''];
                $lines[] = (new FieldChange("field.{$reading->question->key}", 'client', $field))->line(
                    $reading,
                    $reading->text,
                    $now->inquiry->sentText($reading),
                    $known,
                    $decisions,
                    $now->telling,
                );
            }
        }

        return [
            ...$this->reach($now, $decisions, $client),
            ...$lines,
            ...$this->tags($now, Destination::ClientTags, 'client', 'Client'),
            ...$this->contact($now),
            ...$this->custom($now, $decisions, Destination::ClientCustom, $client),
        ];
    }

    /**
     * Lines about the project and what it is done on; they stand after the lines that open it.
     *
     * @param array<string, string> $decisions
     * @param bool $hasAsset whether the plan names one; without, what is told of it stands in the notes
     *
     * @return list<PlanLine>
     */
    public function project(PlanContext $now, array $decisions, bool $hasAsset): array
    {
        $budget = $now->inquiry->readings->for(Destination::ProjectBudget);

        return [
            ...(null === $budget ? [] : [(new FieldChange("field.{$budget->question->key}", 'project', 'budget'))->line(
                $budget,
                MoneyWords::of($budget, $now->desk->naming->currency),
                null,
                [],
                $decisions,
                $now->telling,
            )]),
            ...($hasAsset ? $this->custom($now, $decisions, Destination::AssetCustom, null) : []),
            ...$this->custom($now, $decisions, Destination::ProjectCustom, null),
            ...$this->tags($now, Destination::ProjectTags, 'project', 'Project'),
            ...$this->wish($now, Destination::AppointmentWish, 'appointment', 'an appointment'),
            ...$this->wish($now, Destination::QuoteWish, 'quote', 'the quote'),
        ];
    }

    /**
     * Mail address, phone and postal address of somebody who is on file: a line each where they are not there so.
     *
     * @param array<string, string> $decisions
     *
     * @return list<PlanLine>
     */
    private function reach(PlanContext $now, array $decisions, ?KnownClient $client): array
    {
        if (null === $client) {
            return [];
        }
        $lines = [];
        $fold = static fn (string $text): string => mb_strtolower(trim($text));
        foreach ([
            ['email', Destination::ClientEmail, $client->emails],
            ['phone', Destination::ClientPhone, $client->phones],
        ] as [$field, $destination, $known]) {
            $reading = $now->inquiry->readings->for($destination);
            if (null !== $reading && '' !== $reading->string()) {
                $lines[] = (new FieldChange("field.$field", 'client', $field, true, 'both'))->line(
                    $reading,
                    $reading->string(),
                    $now->inquiry->sentValue($reading),
                    $known,
                    $decisions,
                    $now->telling,
                    $fold,
                );
            }
        }
        $home = $now->inquiry->readings->for(Destination::ClientAddress);
        if (null !== $home) {
            $lines[] = (new FieldChange('field.address', 'client', 'address', true, 'both', true))->line(
                $home,
                $home->text,
                $now->inquiry->sentText($home),
                [$client->address, ...$client->otherAddresses],
                $decisions,
                $now->telling,
            );
        }

        // What is on file as it was written needs no line of its own.
        return array_values(array_filter($lines, static fn (PlanLine $line): bool => null !== $line->effect || null !== $line->choice));
    }

    /**
     * @param array<string, string> $decisions
     *
     * @return list<PlanLine>
     */
    private function custom(PlanContext $now, array $decisions, Destination $destination, ?KnownClient $client): array
    {
        $lines = [];
        $record = $destination->customOf() ?? '';
        foreach ($now->inquiry->readings->allFor($destination) as $reading) {
            $field = $now->desk->naming->customField($reading);
            if (null === $field || $reading->line > 0) {
                continue;
            }
            $group = 'client' === $record ? 'Client' : 'Project';
            if (CustomKind::Day === $field->kind) {
                $key = "field.{$reading->question->key}";
                $day = DayChoice::of($reading, $key, $decisions, $now->today);
                $effect = null === $day->day ? null : SetField::to($record, "custom.{$field->key}", $day->day->format('Y-m-d'));
                $lines[] = $day->line($reading, $key, $group, "{$field->label}: ", $now->today, $effect);
            } else {
                $value = CustomKind::Text === $field->kind ? $reading->text : $reading->string();
                $lines[] = (new FieldChange("field.{$reading->question->key}", $record, "custom.{$field->key}"))->line(
                    $reading,
                    $value,
                    CustomKind::Text === $field->kind ? $now->inquiry->sentText($reading) : $now->inquiry->sentValue($reading),
                    [$client->fields["custom.{$field->key}"] ?? ''],
                    $decisions,
                    $now->telling,
                );
            }
        }

        return $lines;
    }

    /** @return list<PlanLine> */
    private function tags(PlanContext $now, Destination $destination, string $record, string $group): array
    {
        return array_map(
            static fn (Reading $reading): PlanLine => PlanLine::of(
                "tags.{$reading->question->key}",
                $group,
                new AddTags($record, $reading->texts()),
                $now->telling,
                Sources::of(['tags' => $reading]),
            ),
            $now->inquiry->readings->allFor($destination),
        );
    }

    /** @return list<PlanLine> */
    private function contact(PlanContext $now): array
    {
        $told = array_filter(array_map(static fn (Destination $destination): ?Reading => $now->inquiry->readings->for($destination), self::CONTACT));
        if ([] === $told) {
            return [];
        }
        $effect = new AddContact(
            $told['name']->text ?? '',
            $told['role']->text ?? '',
            isset($told['email']) ? $told['email']->string() : '',
            isset($told['phone']) ? $told['phone']->string() : '',
        );

        return [PlanLine::of('contact', 'Client', $effect, $now->telling, Sources::of($told))];
    }

    /** @return list<PlanLine> */
    private function wish(PlanContext $now, Destination $destination, string $kind, string $words): array
    {
        $readings = $now->inquiry->readings->allFor($destination);
        if ([] === $readings) {
            return [];
        }
        $parts = [];
        $told = [];
        foreach ($readings as $i => $reading) {
            array_push($parts, 0 === $i ? "Wish for $words: " : '; ', Part::value($reading->text, $reading->question->number));
            $told[] = "{$reading->question->wording} {$reading->text}";
        }

        return [PlanLine::telling("wish.$kind", 'Project', ...$parts)->doing(new AddWish($kind, implode("\n", $told)))];
    }
}
