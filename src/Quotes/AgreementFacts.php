<?php

declare(strict_types=1);

namespace Telamon\Quotes;

/** All that an agreement says on paper: of one that is signed, as it was then. */
final readonly class AgreementFacts
{
    /** @param string $sent day on which it was sent, ISO 8601 */
    public function __construct(
        public string $number,
        public string $project,
        public Party $business,
        public Party $client,
        public string $title,
        public string $text,
        public string $sent,
        public string $accent,
    ) {
    }

    public static function of(Agreement $agreement, Parties $parties): self
    {
        return new self(
            $agreement->project->number,
            $agreement->project->recordLabel(),
            $parties->business(),
            $parties->client($agreement->client),
            $agreement->title,
            $agreement->text,
            $agreement->sentAt->format('Y-m-d'),
            $parties->accent(),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'number' => $this->number,
            'project' => $this->project,
            'business' => $this->business->toArray(),
            'client' => $this->client->toArray(),
            'title' => $this->title,
            'text' => $this->text,
            'sent' => $this->sent,
            'accent' => $this->accent,
        ];
    }

    /** @param array<array-key, mixed> $said as toArray() gives it */
    public static function read(array $said): self
    {
        $text = static fn (string $key): string => \is_string($said[$key] ?? null) ? $said[$key] : '';

        return new self(
            $text('number'),
            $text('project'),
            Party::of($said['business'] ?? null),
            Party::of($said['client'] ?? null),
            $text('title'),
            $text('text'),
            $text('sent'),
            $text('accent'),
        );
    }
}
