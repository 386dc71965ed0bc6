<?php

declare(strict_types=1);

namespace Telamon\Quotes;

/** A signature as it was drawn: a PNG picture as a data address (RFC 2397). */
final class Drawing
{
    private const MOST = 120_000;
    private const START = 'data:image/png;base64,';
    /** Points that a stroke has at least, and how far they reach: one dot is no name. */
    private const LEAST_INK = 60;
    private const LEAST_WIDTH = 20;

    public static function isSignature(string $drawing): bool
    {
        if (\strlen($drawing) > self::MOST || !str_starts_with($drawing, self::START)) {
            return false;
        }
        $bytes = base64_decode(substr($drawing, \strlen(self::START)), true);
        $size = false === $bytes ? false : @getimagesizefromstring($bytes);
        if (false === $bytes || false === $size || \IMAGETYPE_PNG !== $size[2] || $size[0] > 1600 || $size[1] > 800) {
            return false;
        }
        $image = @imagecreatefromstring($bytes);
        if (false === $image) {
            return false;
        }
        [$ink, $left, $right] = [0, \PHP_INT_MAX, 0];
        for ($x = 0; $x < $size[0]; $x += 2) {
            for ($y = 0; $y < $size[1]; $y += 2) {
                $colour = imagecolorsforindex($image, (int) imagecolorat($image, $x, $y));
                if ($colour['alpha'] < 100 && $colour['red'] + $colour['green'] + $colour['blue'] < 600) {
                    ++$ink;
                    [$left, $right] = [min($left, $x), max($right, $x)];
                }
            }
        }

        return $ink >= self::LEAST_INK && $right - $left >= self::LEAST_WIDTH;
    }
}
