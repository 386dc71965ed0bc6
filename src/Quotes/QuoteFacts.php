<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Telamon\Core\Quotes\Content;
use Telamon\Core\Quotes\ContentReader;
use Telamon\Core\Quotes\Currency;
use Telamon\Core\Quotes\Totals;

/** All that a quote says on paper: of one that is signed, as it was then. */
final readonly class QuoteFacts
{
    public Totals $totals;

    /**
     * @param string $title of what it is for, in words
     * @param string $issued day on which it was sent, ISO 8601; empty while nobody has
     * @param string $readyBy the same; empty where there is none
     * @param string $currency ISO 4217
     * @param bool $gross whether prices hold VAT
     */
    public function __construct(
        public string $number,
        public int $revision,
        public Party $business,
        public Party $client,
        public string $title,
        public string $issued,
        public string $validUntil,
        public string $readyBy,
        public string $currency,
        public bool $gross,
        public Content $content,
        public string $accent,
    ) {
        $this->totals = $content->totals(Currency::of($currency), $gross);
    }

    public static function of(Quote $quote, Parties $parties): self
    {
        return new self(
            $quote->number, $quote->revision, $parties->business(), $parties->client($quote->client),
            null === $quote->asset ? 'Quote'.(null === $quote->project ? '' : ", {$quote->project->title}") : "Quote for your {$quote->asset->description}",
            $quote->issuedOn?->format('Y-m-d') ?? '', $quote->validUntil
                ->format('Y-m-d'), $quote->project?->readyBy
                ?->format('Y-m-d') ?? '', $quote->currency, $quote->gross, $quote
                ->content(), $parties
                ->accent(),
        );
    }

    /** “Q-0231”, or “Q-0231/2” for a later revision. */
    public function shown(): string
    {
        return $this->number.(1 === $this->revision ? '' : "/{$this->revision}");
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'number' => $this->number, 'revision' => $this->revision, 'business' => $this->business->toArray(), 'client' => $this->client->toArray(), 'title' => $this->title,
            'issued' => $this->issued, 'validUntil' => $this->validUntil, 'readyBy' => $this->readyBy, 'currency' => $this->currency, 'prices' => $this->gross ? 'gross' : 'net',
            'content' => $this->content->toArray(), 'totals' => $this->totals->toArray(), 'accent' => $this->accent,
        ];
    }

    /** @param array<array-key, mixed> $said as toArray() gives it */
    public static function read(array $said): self
    {
        $text = static fn (string $key): string => \is_string($said[$key] ?? null) ? $said[$key] : '';

        return new self(
            $text('number'), \is_int($said['revision'] ?? null) ? $said['revision'] : 1, Party::of($said['business'] ?? null), Party::of($said['client'] ?? null), $text('title'),
            $text('issued'), $text('validUntil'), $text('readyBy'), $text('currency'), 'gross' === $text('prices'),
            (new ContentReader())->read((array) ($said['content'] ?? [])), $text('accent'),
        );
    }
}
