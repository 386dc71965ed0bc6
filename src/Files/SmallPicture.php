<?php

declare(strict_types=1);

namespace Telamon\Files;

/** Pictures made small enough to stand on a page, turned as they were taken. */
final readonly class SmallPicture
{
    /** Unpacked, a pixel takes some five bytes: more than this does not fit beside everything else. */
    private const MOST_PIXELS = 26_000_000;

    private const TYPES = ['image/jpeg', 'image/png', 'image/webp', 'image/gif'];

    public function __construct(private FileStore $store)
    {
    }

    /**
     * @param int $side of the longer side, in pixels
     *
     * @return string|null a data address (RFC 2397) of a JPEG or PNG; null where this is no picture that can be read
     */
    public function of(StoredFile $file, int $side = 1200): ?string
    {
        return \in_array($file->type, self::TYPES, true) ? self::ofBytes($file->type, (string) stream_get_contents($this->store->open($file)), $side) : null;
    }

    /** The same of bytes that are not kept. */
    public static function ofBytes(string $type, string $bytes, int $side): ?string
    {
        if (!\in_array($type, self::TYPES, true)) {
            return null;
        }
        $size = @getimagesizefromstring($bytes);
        // What unpacks to more than memory holds is not unpacked.
        if (false === $size || $size[0] * $size[1] > self::MOST_PIXELS) {
            return null;
        }
        $image = @imagecreatefromstring($bytes);
        if (false === $image) {
            return null;
        }
        $image = self::turned($image, 'image/jpeg' === $type ? $bytes : '');
        $scale = min(1.0, $side / max(imagesx($image), imagesy($image)));
        $small = $scale < 1.0 ? imagescale($image, max(1, (int) round(imagesx($image) * $scale)), max(1, (int) round(imagesy($image) * $scale))) : $image;
        if (false === $small) {
            return null;
        }
        $isLine = 'image/png' === $type;
        ob_start();
        if ($isLine) {
            imagesavealpha($small, true);
            imagepng($small);
        } else {
            imagejpeg($small, null, 82);
        }

        return 'data:'.($isLine ? 'image/png' : 'image/jpeg').';base64,'.base64_encode((string) ob_get_clean());
    }

    /** Turned as the camera was held (Exif 2.32, tag 274). */
    private static function turned(\GdImage $image, string $jpeg): \GdImage
    {
        $degrees = match ('' === $jpeg ? 1 : self::orientation($jpeg)) {
            3 => 180,
            6 => 270,
            8 => 90,
            default => 0,
        };
        $turned = 0 === $degrees ? $image : imagerotate($image, $degrees, 0);

        return false === $turned ? $image : $turned;
    }

    /** The orientation that a JPEG file's Exif block names; 1 where it names none. */
    private static function orientation(string $jpeg): int
    {
        if (1 !== preg_match('/\xFF\xE1..Exif\0\0(II\*\0|MM\0\*)/s', substr($jpeg, 0, 65_536), $found, \PREG_OFFSET_CAPTURE)) {
            return 1;
        }
        $at = $found[1][1];
        $little = str_starts_with($found[1][0], 'II');
        $number = static fn (int $offset, int $bytes): int => (unpack(
            2 === $bytes ? ($little ? 'v' : 'n') : ($little ? 'V' : 'N'),
            str_pad(substr($jpeg, $at + $offset, $bytes), $bytes, "\0"),
        ) ?: [1 => 0])[1];
        $directory = $number(4, 4);
        for ($i = 0, $entries = min(200, $number($directory, 2)); $i < $entries; ++$i) {
            $entry = $directory + 2 + 12 * $i;
            if (0x0112 === $number($entry, 2)) {
                return $number($entry + 8, 2);
            }
        }

        return 1;
    }
}
