<?php

declare(strict_types=1);

namespace Telamon\Core\Replies;

/** All that a reply's words say, the longest words first: "no problem" is no "no". */
final class Hits
{
    /** Words between a "not" and what it turns round. */
    private const NEAR = 4;

    /** @var list<list<Hit>> by sentence */
    private array $found = [];

    /** Whether a "but" or an "if" stands beside a yes. */
    public readonly bool $heldBack;

    /** Whether one stands anywhere else: "Go ahead. Any day but the Friday." */
    public readonly bool $hedged;

    /** @param list<Sentence> $sentences */
    public function __construct(private readonly array $sentences, private readonly Phrases $phrases)
    {
        $held = false;
        foreach ($sentences as $at => $sentence) {
            $this->found[$at] = $this->turned($sentence, $this->inSentence($sentence));
        }
        foreach ($sentences as $at => $sentence) {
            $held = $held || $this->isHeld($at, $sentence);
        }
        $this->heldBack = $held;
        $this->hedged = [] !== array_filter($sentences, fn (Sentence $sentence): bool => 1 === preg_match($this->held(), $sentence->text));
    }

    /** Whether somebody says yes and no in one breath: "yes and no". */
    public function speaksBothWays(): bool
    {
        return [] !== array_filter(
            $this->all(),
            static fn (Hit $hit): bool => Meaning::Other === $hit->meaning && 1 === preg_match('/^(yes and no|no and yes|ja und nein|oui et non)$/', $hit->words),
        );
    }

    /** @param list<string> $names folded, which say nothing */
    public function rest(Meaning $meaning, array $names): Rest
    {
        return new Rest($this->sentences, $this->found, $meaning, $names);
    }

    public function best(Meaning $meaning): float
    {
        $best = 0.0;
        foreach ($this->all() as $hit) {
            $best = $hit->meaning === $meaning ? max($best, $hit->sure) : $best;
        }

        return $best;
    }

    /** Whether it is said only in sentences that ask: "Is Thursday fine?" */
    public function onlyAsked(Meaning $meaning): bool
    {
        foreach ($this->found as $at => $hits) {
            foreach ($hits as $hit) {
                if ($hit->meaning === $meaning && !$this->asks($this->sentences[$at])) {
                    return false;
                }
            }
        }

        return true;
    }

    /** @return list<string> */
    public function words(Meaning $meaning): array
    {
        $words = [];
        foreach ($this->all() as $hit) {
            if ($hit->meaning === $meaning) {
                $words[] = $hit->words;
            }
        }
        if (Meaning::Other === $meaning) {
            foreach ($this->all() as $hit) {
                $words[] = $hit->words;
            }
            foreach ($this->heldBack ? $this->sentences : [] as $sentence) {
                if (1 === preg_match($this->held(), $sentence->text, $m)) {
                    $words[] = $m[0];
                }
            }
        }

        return \array_slice(array_values(array_unique($words)), 0, 6);
    }

    /** @return list<Hit> */
    private function all(): array
    {
        return array_merge(...$this->found);
    }

    /** @return list<Hit> */
    private function inSentence(Sentence $sentence): array
    {
        $hits = [];
        foreach (['sure' => 0.97, 'fair' => 0.85] as $table => $sure) {
            foreach ($this->phrases->{$table} as $meaning => $patterns) {
                foreach ($patterns as $pattern) {
                    preg_match_all("/(?<![a-z0-9])(?:$pattern)(?![a-z0-9])/", $sentence->text, $m, \PREG_OFFSET_CAPTURE);
                    foreach ($m[0] as [$words, $at]) {
                        if ('yes' === $meaning && $this->denies($words) && !$this->denies($pattern)) {
                            // What the pattern did not ask for turns it round: "ça ne me convient pas".
                            $hits[] = new Hit(Meaning::No, trim($words), 0.9, $at);
                            continue;
                        }
                        $hits[] = new Hit(
                            Meaning::from($meaning),
                            trim($words),
                            'yes' === $meaning && !$this->leads($sentence, trim($words)) ? 0.8 : $sure,
                            $at + \strlen($words) - \strlen(ltrim($words)),
                        );
                    }
                }
            }
        }
        $hits = $this->longest($hits);
        array_push($hits, ...$this->alone($sentence));
        if ($this->asks($sentence)) {
            $hits[] = new Hit(Meaning::Question, $sentence->asks ? "{$sentence->parts[\count($sentence->parts) - 1]}?" : $sentence->text, $sentence->asks ? 0.96 : 0.95, 0);
        }

        return $hits;
    }

    /**
     * What a part between commas says when nothing else stands in it.
     *
     * @return list<Hit>
     */
    private function alone(Sentence $sentence): array
    {
        $hits = [];
        foreach ($sentence->parts as $part) {
            $bare = $this->bare($part);
            foreach ('' === $bare ? [] : $this->phrases->alone as $meaning => $patterns) {
                foreach ($patterns as $pattern) {
                    if (1 === preg_match("/^(?:$pattern)\$/", $bare)) {
                        $hits[] = new Hit(Meaning::from($meaning), $bare, 0.96, (int) strpos($sentence->text, $bare));
                        break;
                    }
                }
            }
        }

        return $hits;
    }

    /** One word says yes only at the head of a part: "Yes, …" does, "he said yes" does not. */
    private function leads(Sentence $sentence, string $word): bool
    {
        if (str_contains($word, ' ')) {
            return true;
        }
        foreach ($sentence->parts as $part) {
            $bare = $this->bare($part);
            if ($bare === $word || str_starts_with($bare, "$word ") || str_starts_with($part, "$word ")) {
                return true;
            }
        }

        return false;
    }

    private function bare(string $part): string
    {
        $polite = implode('|', $this->phrases->polite);
        do {
            $before = $part;
            $part = trim((string) preg_replace("/^(?:$polite)(?![a-z0-9])|(?<![a-z0-9])(?:$polite)\$/", '', $part));
        } while ($part !== $before);

        return $part;
    }

    private function asks(Sentence $sentence): bool
    {
        $begins = implode('|', $this->phrases->asks);
        foreach ($sentence->parts as $part) {
            if (1 === preg_match("/^(?:$begins)(?![a-z0-9])/", $this->bare($part)) || 1 === preg_match("/^(?:$begins)(?![a-z0-9])/", $part)) {
                return true;
            }
        }

        return $sentence->asks;
    }

    /**
     * @param list<Hit> $hits
     *
     * @return list<Hit> those that lie in no longer one, and overlap none; what asks to stop goes before all else
     */
    private function longest(array $hits): array
    {
        usort(
            $hits,
            static fn (Hit $a, Hit $b): int => [
                Meaning::Stop === $b->meaning && $b->sure >= 0.95,
                \strlen($b->words),
                $b->sure,
                $a->at,
            ] <=> [Meaning::Stop === $a->meaning && $a->sure >= 0.95, \strlen($a->words), $a->sure, $b->at],
        );
        $kept = [];
        foreach ($hits as $hit) {
            foreach ($kept as $other) {
                if ($hit->at < $other->ends() && $other->at < $hit->ends()) {
                    continue 2;
                }
            }
            $kept[] = $hit;
        }

        return $kept;
    }

    /**
     * @param list<Hit> $hits
     *
     * @return list<Hit> a yes with a "not" near it is a no
     */
    private function turned(Sentence $sentence, array $hits): array
    {
        $not = implode('|', $this->phrases->not);
        $turned = [];
        foreach ($hits as $hit) {
            if (Meaning::Yes === $hit->meaning && $hit->sure >= 0.85) {
                $before = implode(' ', \array_slice(explode(' ', trim(substr($sentence->text, 0, $hit->at))), -self::NEAR));
                $free = $this->without($hits, $hit, $before);
                if (1 === preg_match("/(?<![a-z0-9])(?:$not)(?![a-z0-9])/", $free)) {
                    $turned[] = new Hit(Meaning::No, "$before {$hit->words}", 0.9, $hit->at);
                    continue;
                }
            }
            $turned[] = $hit;
        }

        return $turned;
    }

    /**
     * What stands before a hit, without what other hits are made of.
     *
     * @param list<Hit> $hits
     */
    private function without(array $hits, Hit $hit, string $before): string
    {
        foreach ($hits as $other) {
            if ($other !== $hit && Meaning::Question !== $other->meaning) {
                $before = str_replace($other->words, '', $before);
            }
        }

        return $before;
    }

    private function isHeld(int $at, Sentence $sentence): bool
    {
        $says = static fn (array $hits): bool => [] !== array_filter($hits, static fn (Hit $hit): bool => Meaning::Yes === $hit->meaning);
        $own = $says($this->found[$at]);
        $last = $at > 0 && $says($this->found[$at - 1]);
        if ($own && 1 === preg_match($this->held(), $sentence->text)) {
            return true;
        }
        $begins = implode('|', [...$this->phrases->but, ...$this->phrases->if]);

        return $last && 1 === preg_match("/^(?:$begins)(?![a-z0-9])/", $sentence->text);
    }

    private function held(): string
    {
        $words = implode('|', [...$this->phrases->but, ...$this->phrases->if]);

        return "/(?<![a-z0-9])(?:$words)(?![a-z0-9])/";
    }

    /** Whether a text of folded words, or a pattern of them, holds a "not". */
    private function denies(string $words): bool
    {
        return 1 === preg_match('/(?<![a-z0-9])(?:'.implode('|', $this->phrases->not).'|no|non|nein)(?![a-z0-9])/', $words);
    }

    /**
     * Whether a yes stands so that nobody need look: in a short letter, at the beginning of its sentence or in a
     * short one, and with no "not" or "no" anywhere that no known words hold.
     */
    public function clearYes(): bool
    {
        $left = '';
        $words = 0;
        $clear = false;
        foreach ($this->sentences as $at => $sentence) {
            $words += $length = \count(explode(' ', $sentence->text));
            $text = $sentence->text;
            foreach ($this->found[$at] as $hit) {
                if (Meaning::Question !== $hit->meaning) {
                    $clear = $clear || (Meaning::Yes === $hit->meaning && $hit->sure >= 0.95 && ($length <= 16 || $hit->at < 30));
                    $text = substr_replace($text, str_repeat('_', \strlen($hit->words)), $hit->at, \strlen($hit->words));
                }
            }
            $left .= " $text";
        }

        $known = $this->best(Meaning::Yes) >= 0.97;
        $unknown = \count(array_filter(
            explode(' ', $this->bare(trim((string) preg_replace(['/_+/', '/ +/'], [' ', ' '], $left)))),
            static fn (string $word): bool => '' !== $word,
        ));

        return $clear && $words <= 60 && !$this->denies($left) && ($known || $unknown < 3);
    }
}
