<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

use Brick\Math\BigDecimal;

/** What a quote says: its lines, what is on the whole, how it is paid, its words. */
final readonly class Content
{
    /** @var array<string, true> keys of lines that others may stand for */
    private array $heads;

    /**
     * @param list<QuoteLine> $lines
     * @param list<array{name: string, percent: string|null, amount: string|null, vat: Vat}> $allowances on the whole
     * @param list<array{name: string, percent: string|null, amount: string|null, vat: Vat}> $charges on the whole
     * @param array{percent: string|null, amount: string|null} $deposit of the total with tax
     * @param list<array{percent: string, when: string}> $instalments day or event in words
     * @param string $intro, $terms in words
     * @param string $reason why there is no tax, where a category needs one
     * @param list<string> $attachments ids of the files that go with it
     */
    public function __construct(
        public array $lines,
        public array $allowances = [],
        public array $charges = [],
        public array $deposit = ['percent' => null, 'amount' => null],
        public array $instalments = [],
        public string $intro = '',
        public string $terms = '',
        public string $reason = '',
        public array $attachments = [],
    ) {
        $heads = [];
        foreach ($lines as $line) {
            if ('' !== $line->instead) {
                $heads[$line->instead] = true;
            }
        }
        $this->heads = $heads;
    }

    /**
     * With other choices: what may be left out, and which of those that stand in for each other.
     *
     * @param list<string> $keys of the lines that are chosen
     *
     * @throws InvalidContent where a key is no choice, or two stand in one place
     */
    public function choosing(array $keys): self
    {
        $byKey = $this->byKey();
        $places = [];
        foreach ($keys as $key) {
            $line = $byKey[$key] ?? null;
            if (null === $line || (!$line->optional && '' === $line->instead && !$this->hasAlternative($key))) {
                throw new InvalidContent('ticked', 'That is no line that can be chosen. Load the page again.');
            }
            $place = '' === $line->instead ? $key : $line->instead;
            if (isset($places[$place])) {
                throw new InvalidContent('ticked', 'Choose one of those that stand for each other.');
            }
            $places[$place] = true;
        }
        $lines = array_map(
            fn (QuoteLine $line): QuoteLine => $line->optional || '' !== $line->instead || $this->hasAlternative($line->key) ? $line->withTick(\in_array($line->key, $keys, true)) : $line,
            $this->lines,
        );

        return new self($lines, $this->allowances, $this->charges, $this->deposit, $this->instalments, $this->intro, $this->terms, $this->reason, $this->attachments);
    }

    /** Whether a line is part of the sums as it is chosen now: of those that stand for each other the one that is ticked, else the first. */
    public function counts(QuoteLine $line): bool
    {
        if ('' === $line->instead && !$this->hasAlternative($line->key)) {
            return !$line->optional || $line->ticked;
        }
        $head = '' === $line->instead ? $line->key : $line->instead;
        $others = array_values(array_filter($this->lines, static fn (QuoteLine $one): bool => $one->key === $head || $one->instead === $head));
        $ticked = array_values(array_filter($others, static fn (QuoteLine $one): bool => $one->ticked));
        $isOptional = $others[0]->optional ?? false;

        return [] === $ticked ? !$isOptional && $line->key === $head : $ticked[0]->key === $line->key;
    }

    public function hasAlternative(string $key): bool
    {
        return isset($this->heads[$key]);
    }

    /** @return list<QuoteLine> that somebody has to price */
    public function toPrice(): array
    {
        return array_values(array_filter($this->lines, static fn (QuoteLine $line): bool => null === $line->price));
    }

    public function totals(Currency $currency, bool $gross): Totals
    {
        $figure = static fn (?string $text): ?BigDecimal => null === $text ? null : BigDecimal::of($text);

        return (new Arithmetic())->of(new Sums(
            $currency, $gross,
            array_map(fn (QuoteLine $line): PricedLine => $line->priced($this->counts($line) && null !== $line->price), $this->lines),
            self::onWhole($this->allowances), self::onWhole($this->charges),
            new OnWhole($figure($this->deposit['percent']), $figure($this->deposit['amount'])),
            array_map(static fn (array $one): BigDecimal => BigDecimal::of($one['percent']), $this->instalments),
        ));
    }

    /**
     * What keeps it from being sent, in words; none where nothing does.
     *
     * @return list<array{path: string, words: string}>
     */
    public function missing(): array
    {
        $missing = [];
        if ([] === $this->lines) {
            $missing[] = ['path' => 'lines', 'words' => 'It has no line.'];
        }
        foreach ($this->lines as $i => $line) {
            if (null === $line->price) {
                $missing[] = ['path' => "lines.$i.price", 'words' => 'Line '.($i + 1).', '.$line->name.', has no price.'];
            }
            // BR-S-5: a standard rate is above nothing; BR-Z-5, BR-E-5 and the others: their rate is nothing.
            if ('S' === $line->vat->category && $line->vat->percent->isZero()) {
                $missing[] = ['path' => "lines.$i.vat", 'words' => 'Line '.($i + 1).': a standard rate is more than 0 (BR-S-5). Choose zero rated or exempt.'];
            } elseif (!\in_array($line->vat->category, ['S', 'L', 'M'], true) && !$line->vat->percent->isZero()) {
                $missing[] = ['path' => "lines.$i.vat", 'words' => 'Line '.($i + 1).': '.Vat::CATEGORIES[$line->vat->category].' has a rate of 0.'];
            }
        }
        if ('' === $this->reason && [] !== array_filter($this->lines, static fn (QuoteLine $line): bool => $line->vat->needsReason())) {
            $missing[] = ['path' => 'reason', 'words' => 'Say why there is no VAT: the reason stands on the quote.'];
        }

        return $missing;
    }

    /** @return array<string, mixed> as QuoteContent in api/openapi.yaml */
    public function toArray(): array
    {
        $onWhole = static fn (array $one): array => [
            'name' => $one['name'],
            'percent' => $one['percent'],
            'amount' => $one['amount'],
            'vat' => ['category' => $one['vat']->category, 'rate' => $one['vat']->rate],
        ];

        return [
            'lines' => array_map(static fn (QuoteLine $line): array => $line->toArray(), $this->lines),
            'allowances' => array_map($onWhole, $this->allowances), 'charges' => array_map($onWhole, $this->charges),
            'deposit' => $this->deposit, 'instalments' => $this->instalments, 'intro' => $this->intro, 'terms' => $this->terms,
            'reason' => $this->reason, 'attachments' => $this->attachments,
        ];
    }

    /** Without files, as for another client. */
    public function alone(): self
    {
        return new self($this->lines, $this->allowances, $this->charges, $this->deposit, $this->instalments, $this->intro, $this->terms, $this->reason);
    }

    /**
     * @param list<array{name: string, percent: string|null, amount: string|null, vat: Vat}> $all
     *
     * @return list<array{OnWhole, Vat}>
     */
    private static function onWhole(array $all): array
    {
        return array_map(
            static fn (array $one): array => [
                new OnWhole(null === $one['percent'] ? null : BigDecimal::of($one['percent']), null === $one['amount'] ? null : BigDecimal::of($one['amount'])),
                $one['vat'],
            ],
            $all,
        );
    }

    /** @return array<string, QuoteLine> */
    private function byKey(): array
    {
        $byKey = [];
        foreach ($this->lines as $line) {
            $byKey[$line->key] = $line;
        }

        return $byKey;
    }
}
