<?php

declare(strict_types=1);

namespace Telamon\Files;

/** Finds what a file is from its bytes; its name says nothing. */
final class FileKind
{
    /** The endings that fit a type, the usual one first. */
    private const ENDINGS = [
        'image/jpeg' => ['jpg', 'jpeg'], 'image/png' => ['png'], 'image/webp' => ['webp'], 'image/gif' => ['gif'],
        'image/heic' => ['heic'], 'image/heif' => ['heif', 'heic'], 'application/pdf' => ['pdf'],
    ];

    /** Of what is made here, and taken from nobody. */
    private const MADE = ['application/json' => ['json']];

    /**
     * @return string its media type
     *
     * @throws FileNotTaken
     */
    public static function of(string $path): string
    {
        $type = (string) (new \finfo(\FILEINFO_MIME_TYPE))->file($path);
        // A page that hides somewhere in its first kilobyte that it is a PDF file as well is none (ISO 32000, 7.5.2).
        $isTaken = isset(self::ENDINGS[$type]) && ('application/pdf' !== $type || '%PDF-' === file_get_contents($path, false, null, 0, 5));
        if (!$isTaken) {
            throw new FileNotTaken('Photographs (JPEG, PNG, WebP, GIF, HEIC) and PDF files are taken. This is something else, whatever its name says.');
        }

        return $type;
    }

    /** The name with an ending that fits what the bytes are: it decides what a program does with the file. */
    public static function fittingName(string $name, string $type): string
    {
        $endings = self::ENDINGS[$type] ?? self::MADE[$type] ?? [];
        $ending = mb_strtolower(pathinfo($name, \PATHINFO_EXTENSION));

        return [] === $endings || \in_array($ending, $endings, true) ? $name : mb_substr($name, 0, 190).'.'.$endings[0];
    }

    /** A name that is safe to show and to save under: no folders, no control characters, 200 characters at most. */
    public static function safeName(string $name): string
    {
        $name = basename(str_replace('\\', '/', $name));
        $name = trim((string) preg_replace('/[\p{C}"<>:|?*]+/u', '', mb_scrub($name)));

        return '' === trim($name, '. ') ? 'file' : mb_substr($name, -200);
    }
}
