<?php

declare(strict_types=1);

namespace Telamon\Files;

/** Finds what a file is from its bytes; its name says nothing. */
final class FileKind
{
    private const TAKEN = ['image/jpeg', 'image/png', 'image/webp', 'image/gif', 'image/heic', 'image/heif', 'application/pdf'];

    /**
     * @return string its media type
     *
     * @throws FileNotTaken
     */
    public static function of(string $path): string
    {
        $type = (string) (new \finfo(\FILEINFO_MIME_TYPE))->file($path);
        if (!\in_array($type, self::TAKEN, true)) {
            throw new FileNotTaken('Photographs (JPEG, PNG, WebP, GIF, HEIC) and PDF files are taken. This is something else, whatever its name says.');
        }

        return $type;
    }

    /** A name that is safe to show and to save under: no folders, no control characters, 200 characters at most. */
    public static function safeName(string $name): string
    {
        $name = basename(str_replace('\\', '/', $name));
        $name = trim((string) preg_replace('/[\p{C}"<>:|?*]+/u', '', mb_scrub($name)));

        return '' === trim($name, '. ') ? 'file' : mb_substr($name, -200);
    }
}
