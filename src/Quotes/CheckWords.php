<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Telamon\Core\Evidence\Check;
use Telamon\Core\Evidence\Verdict;
use Telamon\Core\Quotes\InvalidContent;

/** What a checked file comes to, in words for whoever chose it. */
final readonly class CheckWords
{
    /** @param string $now SHA-256 of the file as it is, up to the line that closes it; empty where nothing closes it */
    public function __construct(private Verdict $verdict, private string $business, private \DateTimeZone $zone, private string $now)
    {
    }

    /** @return array{head: string, sum: string, checks: list<array{name: string, words: string, state: string, walls?: list<array{name: string, sum: string, bricks: list<array{x: float, y: int, width: float, fill: string}>}>}>} */
    public function toArray(): array
    {
        if (!$this->verdict->isSigned) {
            return [
                'head' => 'Nothing that was signed here is in this file.',
                'sum' => 'It is no signed PDF file of ours and no record of one. Perhaps it was printed and scanned: then have the file itself sent.',
                'checks' => [],
            ];
        }
        $checks = [
            $this->document(),
            $this->file(),
            $this->drawing(),
            $this->who(),
            $this->key(),
            ['name' => 'Whose hand held the pen', 'words' => 'The link went to one address. Who opened it there, no file can tell.', 'state' => 'unknown'],
        ];
        $count = static fn (string $state): int => \count(array_filter($checks, static fn (array $one): bool => $one['state'] === $state));
        [$holds, $fails] = [$count('holds'), $count('fails')];

        return [
            'head' => $this->head(),
            'sum' => self::number($holds).(1 === $holds ? ' thing holds' : ' things hold').(0 === $fails ? '' : ', '.lcfirst(self::number($fails)).(1 === $fails ? ' does not' : ' do not')).', one nobody can know from a file.',
            'checks' => $checks,
        ];
    }

    private function head(): string
    {
        $what = 'agreement' === $this->text('what') ? 'agreement' : 'quote';

        return match (true) {
            [] === $this->verdict->fails() => "Yes: this is the $what that was signed.",
            !$this->verdict->holds(Check::Key) => "This was not closed by {$this->business}.",
            !$this->verdict->holds(Check::Document) => 'No: this is not what was signed.',
            !$this->verdict->holds(Check::Drawing) => "The $what is the one that was signed. The drawing is not.",
            default => "The $what is the one that was signed. This copy of the file is not.",
        };
    }

    /** @return array{name: string, words: string, state: string} */
    private function document(): array
    {
        $holds = $this->verdict->holds(Check::Document);
        $isAgreement = 'agreement' === $this->text('what');

        return [
            'name' => $isAgreement ? 'Every word of the agreement' : 'Every line, sum and term of the quote',
            'words' => $holds
                ? 'The record inside fits the sum that was signed with it'.$this->agreed().'.'
                : 'What the file says was agreed is not what was closed, or cannot be read.',
            'state' => $this->state(Check::Document),
        ];
    }

    private function agreed(): string
    {
        try {
            $facts = 'quote' === $this->text('what') ? QuoteFacts::read($this->verdict->document ?? []) : null;
        } catch (InvalidContent|\ValueError|\InvalidArgumentException) {
            return '';
        }
        $lines = \count($facts->content->lines ?? []);

        return null === $facts
            ? ''
            : ": {$facts->shown()}, ".lcfirst(self::number($lines)).(1 === $lines ? ' line' : ' lines').', '.Money::shown((string) $facts->totals->total, $facts->currency).' with VAT'.('' === $facts->content->terms ? '' : ', the terms');
    }

    /** @return array{name: string, words: string, state: string, walls: list<array{name: string, sum: string, bricks: list<array{x: float, y: int, width: float, fill: string}>}>} */
    private function file(): array
    {
        $holds = $this->verdict->holds(Check::File);
        $walls = $holds || '' === $this->verdict->closed || '' === $this->now || $this->verdict->closed === $this->now
            ? []
            : [
                ['name' => 'as it was closed', 'sum' => $this->verdict->closed, 'bricks' => self::wall($this->verdict->closed)],
                ['name' => 'this file', 'sum' => $this->now, 'bricks' => self::wall($this->now)],
            ];

        return [
            'name' => 'The file, byte for byte',
            'words' => $holds
                ? 'Nothing in it was changed since it was closed.'
                : 'Something in it was changed after it was closed, or a program saved it anew. Do not go by its pages: ask for the file as it was.',
            'state' => $this->state(Check::File),
            'walls' => $walls,
        ];
    }

    /** @return array{name: string, words: string, state: string} */
    private function drawing(): array
    {
        $typed = 'typed' === $this->text('how');

        return [
            'name' => $typed ? 'The signature as it was given' : 'The signature as it was drawn',
            'words' => $this->verdict->holds(Check::Drawing)
                ? ($typed ? 'The name was typed; nothing was drawn.' : 'The picture is the one that was drawn.')
                : 'The picture is not the one that was drawn, or cannot be read.',
            'state' => $this->state(Check::Drawing),
        ];
    }

    /** @return array{name: string, words: string, state: string} */
    private function who(): array
    {
        $reached = $this->verdict->document['reached'] ?? null;
        $email = \is_array($reached) && \is_string($reached['email'] ?? null) ? $reached['email'] : '';
        $at = \DateTimeImmutable::createFromFormat('!Y-m-d\TH:i:s\Z', $this->text('at'), new \DateTimeZone('UTC'));
        $words = implode(
            ', ',
            array_filter(
                [$this->text('signedBy'), $email, false === $at ? '' : $at->setTimezone($this->zone)->format('l j F Y, H:i:s T')],
                static fn (string $one): bool => '' !== $one,
            ),
        );

        return [
            'name' => 'Who, and when',
            'words' => '' === $words ? 'It cannot be read.' : ($this->verdict->holds(Check::Document) ? "$words." : "The file says $words; that is not what was closed."),
            'state' => $this->state(Check::Document),
        ];
    }

    /** @return array{name: string, words: string, state: string} */
    private function key(): array
    {
        return [
            'name' => 'Made here',
            'words' => $this->verdict->holds(Check::Key) ? "Closed by the key of {$this->business}." : 'It was closed by another key, or by none that holds.',
            'state' => $this->state(Check::Key),
        ];
    }

    private function state(Check $check): string
    {
        return $this->verdict->holds($check) ? 'holds' : 'fails';
    }

    private function text(string $key): string
    {
        $value = $this->verdict->document[$key] ?? '';

        return \is_string($value) ? $value : '';
    }

    /**
     * A sum as a wall: each figure a stone, as wide as it is large, in four courses of sixteen.
     *
     * @return list<array{x: float, y: int, width: float, fill: string}>
     */
    private static function wall(string $sum): array
    {
        $bricks = [];
        foreach (str_split($sum, 16) as $course => $figures) {
            $widths = array_map(static fn (string $figure): int => 3 + (int) hexdec($figure), str_split($figures));
            $scale = 158 / array_sum($widths);
            $x = 1.0;
            foreach (str_split($figures) as $i => $figure) {
                $width = $widths[$i] * $scale;
                $bricks[] = [
                    'x' => round($x, 2),
                    'y' => 1 + 14 * $course,
                    'width' => round(max(0.8, $width - 1.2), 2),
                    'fill' => ['#FFFEFB', '#E7E0D0', '#857C69', '#21262B'][hexdec($figure) % 4],
                ];
                $x += $width;
            }
        }

        return $bricks;
    }

    private static function number(int $count): string
    {
        return ['No', 'One', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten', 'Eleven', 'Twelve'][$count] ?? (string) $count;
    }
}
