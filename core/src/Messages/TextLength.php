<?php

declare(strict_types=1);

namespace Telamon\Core\Messages;

/**
 * How long a text message is as it is sent. 3GPP TS 23.038, section 6.2.1: the GSM 7 bit default alphabet, 160 to a
 * message; its extension table, where each sign takes two places; any other sign makes the whole text UCS-2, 70 to a
 * message. TS 23.040, section 9.2.3.24.1: in several parts, six octets of each tell which it is, which leaves 153 or
 * 67; a sign of two places is not cut in two.
 */
final readonly class TextLength
{
    /** Table 1 of section 6.2.1, in its order, without the escape. */
    public const ALPHABET = "@£\$¥èéùìòÇ\nØø\rÅåΔ_ΦΓΛΩΠΨΣΘΞÆæßÉ !\"#¤%&'()*+,-./0123456789:;<=>?¡ABCDEFGHIJKLMNOPQRSTUVWXYZÄÖÑÜ§¿abcdefghijklmnopqrstuvwxyzäöñüà";

    /** The extension table of section 6.2.1.1. */
    public const EXTENSION = "\f^{}\\[~]|€";

    /** The most parts that we send: longer is a letter. */
    public const MOST_PARTS = 8;

    /**
     * @param int $places taken by all signs: septets, or 16 bit units
     * @param int $parts messages it is sent in; 0 for an empty text
     * @param int $left places left in the last part
     * @param list<string> $wide the signs that make it UCS-2, each once, at most ten
     */
    private function __construct(public bool $gsm7, public int $places, public int $parts, public int $left, public array $wide)
    {
    }

    public static function of(string $text): self
    {
        $signs = mb_str_split($text);
        $wide = array_values(array_unique(array_filter($signs, static fn (string $sign): bool => !str_contains(self::ALPHABET.self::EXTENSION, $sign))));
        $gsm7 = [] === $wide;
        $sizes = array_map(static fn (string $sign): int => $gsm7 ? (str_contains(self::EXTENSION, $sign) ? 2 : 1) : (mb_ord($sign) > 0xFFFF ? 2 : 1), $signs);
        [$whole, $part] = $gsm7 ? [160, 153] : [70, 67];
        $places = array_sum($sizes);
        if ($places <= $whole) {
            return new self($gsm7, $places, 0 === $places ? 0 : 1, $whole - $places, \array_slice($wide, 0, 10));
        }
        $parts = 1;
        $in = 0;
        foreach ($sizes as $size) {
            if ($in + $size > $part) {
                ++$parts;
                $in = 0;
            }
            $in += $size;
        }

        return new self($gsm7, $places, $parts, $part - $in, \array_slice($wide, 0, 10));
    }
}
