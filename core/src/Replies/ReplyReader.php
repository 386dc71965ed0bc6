<?php

declare(strict_types=1);

namespace Telamon\Core\Replies;

use Telamon\Core\Text\Fold;

/**
 * Reads what somebody means who answers, by words in tables. It says "yes" only where nothing holds it back, and
 * "stop" wherever somebody asks for it. How sure it is comes of the words alone: 0.97 for words that leave no doubt,
 * 0.96 for one that stands by itself, 0.85 for one that may mean something else, less where words contradict.
 */
final class ReplyReader
{
    private const SURE = 0.97;
    private const ALONE = 0.96;
    private const FAIR = 0.85;

    /** Beyond so many letters even clear words stand among much else. */
    private const LONG = 600;

    /** @var list<Phrases> */
    private array $tables;

    private readonly ReplyStripper $stripper;

    public function __construct()
    {
        $this->tables = Tables::all();
        $this->stripper = new ReplyStripper();
    }

    /**
     * @param string $text the plain text of the reply, with all that a program repeated in it
     * @param Asked $asked what the letter asked that it answers
     * @param string $subject of the letter: a stop may stand there alone
     */
    public function read(string $text, Asked $asked = Asked::Decision, string $subject = ''): ReplyReading
    {
        $reading = $this->body($text, $asked);
        // A subject that answers repeats ours; one of their own may be all that they say.
        if (Meaning::Stop !== $reading->says && '' !== trim($subject) && 1 !== preg_match('/^\s*(re|aw|sv|antw|tr|fwd?|wg)\s*:/iu', $subject)) {
            $here = $this->body($subject, $asked);
            if (Meaning::Stop === $here->says && $here->confidence >= self::ALONE) {
                return new ReplyReading(Meaning::Stop, $here->confidence, $here->because, '' === $reading->read ? $here->read : $reading->read);
            }
        }

        return $reading;
    }

    private function body(string $text, Asked $asked): ReplyReading
    {
        $said = $this->stripper->part($text)->said;
        if ('' === Fold::text(str_replace(['👍', '👎'], 'x', $said))) {
            return new ReplyReading(Meaning::Other, 0.5, [], $said);
        }
        $reading = null;
        foreach ($this->inOrder($said) as $at => $phrases) {
            $here = $this->with($phrases, $said, $asked);
            // Whoever asks to stop is heard in any language; otherwise the likeliest one that knows a word decides.
            if (Meaning::Stop === $here->says && ($here->confidence >= self::ALONE || 0 === $at)) {
                return $here;
            }
            if (null === $reading || ([] === $reading->because && [] !== $here->because && Meaning::Stop !== $here->says && Meaning::Other === $reading->says)) {
                $reading = $here;
            }
        }

        return $reading ?? new ReplyReading(Meaning::Other, 0.5, [], $said);
    }

    private function with(Phrases $phrases, string $said, Asked $asked): ReplyReading
    {
        $sentences = Sentence::all($said, $phrases);
        if ([] === $sentences) {
            return new ReplyReading(Meaning::Other, 0.5, [], $said);
        }
        $hits = new Hits($sentences, $phrases);
        [$meaning, $sure] = $this->decide($hits, $sentences);
        if (mb_strlen($said) > self::LONG && Meaning::Stop !== $meaning) {
            $sure = min($sure, self::FAIR);
        }

        $rest = $hits->rest($meaning, 'de' === $phrases->language ? [] : self::names($said));
        if (\in_array($meaning, [Meaning::Yes, Meaning::No, Meaning::Later], true)) {
            [$meaning, $sure] = $this->asAnswer($meaning, $sure, $rest, $asked, $sentences);
        } elseif (Meaning::Stop === $meaning && !$rest->isLittle($meaning)) {
            // "The keys stop sounding after a second" is no wish to be left alone; a person reads it.
            $sure = min($sure, self::FAIR);
        }

        return new ReplyReading($meaning, round(max(0.3, $sure), 2), $hits->words($meaning), $said);
    }

    /**
     * @param list<Sentence> $sentences
     *
     * @return array{Meaning, float}
     */
    private function decide(Hits $hits, array $sentences): array
    {
        $stop = $hits->best(Meaning::Stop);
        if ($stop > 0) {
            return [Meaning::Stop, $stop];
        }
        if ($hits->speaksBothWays()) {
            return [Meaning::Other, self::ALONE];
        }
        [$yes, $no, $later, $question] = [$hits->best(Meaning::Yes), $hits->best(Meaning::No), $hits->best(Meaning::Later), $hits->best(Meaning::Question)];
        if ($yes >= self::FAIR && $no >= self::FAIR) {
            return $this->torn($yes, $no, $hits);
        }
        if ($no > 0 && $no >= $later) {
            return [Meaning::No, $no - ($question > 0 ? 0.15 : 0) - ($yes > 0 ? 0.05 : 0) - ($later >= self::ALONE ? 0.15 : 0)];
        }
        if ($later > 0 && ($later > $yes || ($later >= self::ALONE && $yes < self::SURE))) {
            return [Meaning::Later, $later - ($yes >= self::FAIR ? 0.2 : 0) - ($no > 0 && $no < self::SURE ? 0.05 : 0)];
        }
        if ($yes > 0) {
            if ($hits->heldBack) {
                return $question > 0 ? [Meaning::Question, 0.8] : [Meaning::Other, self::ALONE];
            }
            if ($question > 0) {
                return $yes >= self::ALONE && !$hits->onlyAsked(Meaning::Yes) ? [Meaning::Yes, 0.8] : [Meaning::Question, $question - ($hits->onlyAsked(Meaning::Yes) ? 0 : 0.05)];
            }

            if (!$hits->clearYes() || $hits->hedged) {
                return [Meaning::Yes, min($yes, $hits->hedged && $hits->clearYes() ? 0.86 : 0.8)];
            }

            return [Meaning::Yes, $yes - ($later >= self::FAIR ? ($later >= self::ALONE ? 0.25 : 0.01) : 0)];
        }
        if ($question > 0) {
            return [Meaning::Question, $question];
        }

        return [
            Meaning::Other,
            $this->isPolite($sentences)
                || ($hits->best(Meaning::Other) > 0 && $hits->rest(Meaning::Other, [])->isLittle(Meaning::Yes))
                || Facts::only($sentences)
                || Cues::none($sentences)
                ? self::ALONE
                : 0.7,
        ];
    }

    /**
     * A yes, a no or a later is one for sure only where that was asked, and where the letter says little else.
     *
     * @param list<Sentence> $sentences
     *
     * @return array{Meaning, float}
     */
    private function asAnswer(Meaning $meaning, float $sure, Rest $rest, Asked $asked, array $sentences): array
    {
        if (Asked::Decision === $asked) {
            if ($rest->isLittle($meaning)) {
                return [$meaning, $sure];
            }

            // "Yes, it has three pedals" answers what nobody decides by.
            return $rest->isWeak() && Facts::only($sentences) ? [Meaning::Other, self::ALONE] : [$meaning, min($sure, self::FAIR)];
        }

        // Whoever was not asked for a decision and says "yes" answers what was asked.
        return $rest->isWeak() ? [Meaning::Other, self::ALONE] : [$meaning, min($sure, self::FAIR)];
    }

    /**
     * A yes and a no in one letter: nobody but a person decides, unless one of them is but a way of speaking.
     *
     * @return array{Meaning, float}
     */
    private function torn(float $yes, float $no, Hits $hits): array
    {
        if ($no >= self::SURE && $yes < self::ALONE) {
            return [Meaning::No, 0.9];
        }
        if ($yes >= self::SURE && $no < self::ALONE && !$hits->heldBack) {
            return [Meaning::Yes, 0.8];
        }

        return [Meaning::Other, 0.8];
    }

    /** @param list<Sentence> $sentences */
    private function isPolite(array $sentences): bool
    {
        return [] === array_filter(
            $sentences,
            static fn (Sentence $one): bool => '' !== $one->text && 1 !== preg_match('/^(thank you|thanks|many thanks|cheers|danke|vielen dank|merci)\b/', $one->text),
        );
    }

    /** @return list<string> words with a capital inside a sentence, folded: names, mostly */
    private static function names(string $said): array
    {
        preg_match_all('/(?<=[\p{L}\d,] )\p{Lu}\p{Ll}+/u', $said, $found);

        return array_map(Fold::text(...), $found[0]);
    }

    /** @return list<Phrases> the likeliest language first, by its common words */
    private function inOrder(string $said): array
    {
        $words = Fold::words(str_replace(["'", '’'], ' ', $said));
        $tables = $this->tables;
        usort($tables, static fn (Phrases $a, Phrases $b): int => \count(array_intersect($words, $b->common)) <=> \count(array_intersect($words, $a->common)));

        return $tables;
    }
}
