<?php

declare(strict_types=1);

namespace Telamon\Core\Replies;

/**
 * Parts what somebody wrote from what their program repeated and from their signature. Lines that begin with ">"
 * are quoted (RFC 3676, section 4.5), and "-- " begins a signature (section 4.3). The lines that programs put
 * before what they repeat, and the words before a name, are common practice; they are listed here from memory.
 */
final class ReplyStripper
{
    /** The most that is looked at; what lies beyond is taken for repeated. Letters. */
    private const MOST = 20_000;

    /** Below such a line all is repeated. */
    private const REPEATS = '/^(-{2,} ?(original message|forwarded message|urspr.{1,2}ngliche nachricht|message d.origine|message transf.r.) ?-{2,}|_{10,}$|(from|von|de) ?: .*@.*$)/iu';

    /** "On …, Nessa wrote:" — where it ends so, what follows is repeated. */
    private const WROTE = '/^(on|am|le|em|el)\b.{5,200}\b(wrote|schrieb|a .crit|escribi.)\b.{0,80}: ?$/iu';

    /** What comes before a name at the end. */
    private const CLOSES = '/^(kind(est)? regards|(best|warm|many) (regards|wishes)|best|regards|with (kind|best) (regards|wishes)|all the best|yours( (sincerely|faithfully|truly))?|sincerely|cheers|thanks|many thanks|thank you|mit (freundlichen|besten) gr.{1,2}.{0,2}en?|(viele|beste|liebe|freundliche|herzliche) gr.{1,2}.{0,2}e|mfg|gru.{1,2}|cordialement|bien cordialement|bien . vous|salutations|(meilleures|sinc.res) salutations|merci d.avance) ?[,.!]?$/iu';

    private const DEVICE = '/^(sent from (my|the) (phone|mobile|tablet|iphone|ipad|mail)|sent from my \w+( \w+)?$|get \w+ for \w+$|(von|mit) meinem \w+ gesendet|envoy. (de|depuis) mon)/iu';

    public function part(string $text): ReplyText
    {
        $text = str_replace(["\r\n", "\r", "\u{a0}"], ["\n", "\n", ' '], $text);
        $beyond = mb_substr($text, self::MOST);
        $lines = explode("\n", mb_substr($text, 0, self::MOST));
        [$said, $quoted] = $this->withoutQuoted($lines);
        [$said, $signature] = $this->withoutSignature($said);

        return new ReplyText(trim(implode("\n", $said)), trim(implode("\n", $quoted).$beyond), trim(implode("\n", $signature)));
    }

    /**
     * @param list<string> $lines
     *
     * @return array{list<string>, list<string>} what was written, also between and below quoted lines; what was repeated
     */
    private function withoutQuoted(array $lines): array
    {
        $said = $quoted = [];
        foreach ($lines as $at => $line) {
            $plain = trim($line);
            $wrapped = trim($plain.' '.trim($lines[$at + 1] ?? ''));
            $wrote = 1 === preg_match(self::WROTE, $plain) || (1 === preg_match(self::WROTE, $wrapped) && 1 === preg_match('/^(on|am|le|em|el)\b/iu', $plain));
            if ($wrote && !$this->marked($lines, $at)) {
                return [$said, [...$quoted, ...\array_slice($lines, $at)]];
            }
            if (1 === preg_match(self::REPEATS, $plain)) {
                return [$said, [...$quoted, ...\array_slice($lines, $at)]];
            }
            if ($wrote || str_starts_with($plain, '>') || $this->endsWrote($lines, $at)) {
                $quoted[] = $line;
            } else {
                $said[] = $line;
            }
        }

        return [$said, $quoted];
    }

    /**
     * Whether what follows is marked line by line, so that answers may stand between.
     *
     * @param list<string> $lines
     */
    private function marked(array $lines, int $at): bool
    {
        foreach (\array_slice($lines, $at + 1, 4) as $line) {
            if (str_starts_with(trim($line), '>')) {
                return true;
            }
        }

        return false;
    }

    /**
     * The second line of a broken "On …\n… wrote:".
     *
     * @param list<string> $lines
     */
    private function endsWrote(array $lines, int $at): bool
    {
        $before = trim($lines[$at - 1] ?? '');

        return 1 === preg_match('/^(on|am|le|em|el)\b/iu', $before) && 1 === preg_match(self::WROTE, $before.' '.trim($lines[$at]));
    }

    /**
     * @param list<string> $lines
     *
     * @return array{list<string>, list<string>}
     */
    private function withoutSignature(array $lines): array
    {
        foreach ($lines as $at => $line) {
            $plain = trim($line);
            $ends = \in_array(rtrim($line, "\t"), ['-- ', '--'], true) || 1 === preg_match(self::DEVICE, $plain);
            // "Thanks" before the only sentence is no end; a name or nothing has to follow.
            $closes = 1 === preg_match(self::CLOSES, $plain) && $at > 0 && $this->onlyNames(\array_slice($lines, $at + 1));
            if ($ends || $closes) {
                return [\array_slice($lines, 0, $at), \array_slice($lines, $at)];
            }
        }

        return [$lines, []];
    }

    /** @param list<string> $lines */
    private function onlyNames(array $lines): bool
    {
        $filled = array_values(array_filter($lines, static fn (string $line): bool => '' !== trim($line)));
        $first = trim($filled[0] ?? '');

        return \count($filled) <= 12 && mb_strlen($first) <= 60 && 1 !== preg_match('/[?!]$/', $first);
    }
}
