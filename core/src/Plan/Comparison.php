<?php

declare(strict_types=1);

namespace Telamon\Core\Plan;

/**
 * What became of one value: as it was sent out with the form, as it came back, as it is on file now. The three-way
 * comparison of version control (base, theirs, ours), over single fields.
 */
enum Comparison
{
    /** Nothing is on file. */
    case Fills;
    /** On file as it came back. */
    case Same;
    /** Differs, and nothing was sent out to tell who changed it. */
    case Differs;
    /** They changed it; the file is as it was sent. */
    case ChangedByThem;
    /** They left it as it was sent; the file was changed meanwhile. */
    case ChangedByUs;
    /** They changed it, and the file was changed meanwhile. */
    case ChangedByBoth;

    /**
     * @param string|null $sent null where the form was not filled in beforehand
     * @param list<string> $onFile all in the same plain form as the other two
     */
    public static function of(?string $sent, string $returned, array $onFile): self
    {
        return match (true) {
            [] === $onFile => self::Fills,
            \in_array($returned, $onFile, true) => self::Same,
            null === $sent => self::Differs,
            $sent === $returned => self::ChangedByUs,
            \in_array($sent, $onFile, true) => self::ChangedByThem,
            default => self::ChangedByBoth,
        };
    }
}
