<?php

declare(strict_types=1);

namespace Telamon\Http;

use Symfony\Component\HttpFoundation\Request;

/** Reads the JSON object that a request brings. */
final class JsonBody
{
    /**
     * @return array<array-key, mixed>
     *
     * @throws Problem 400 when the body is no JSON object
     */
    public static function read(Request $request): array
    {
        if ('' === $request->getContent()) {
            return [];
        }
        if (str_contains($request->getContent(), '\u0000')) {
            throw new Problem(400, 'Not understood', 'The body holds characters that no text has.');
        }
        try {
            $data = json_decode($request->getContent(), true, 32, \JSON_THROW_ON_ERROR);
        } catch (\JsonException) {
            throw new Problem(400, 'Not JSON', 'The body could not be read as JSON.');
        }

        return \is_array($data) ? $data : throw new Problem(400, 'Not a JSON object', 'The body must be a JSON object.');
    }

    /** @param array<array-key, mixed> $data */
    public static function text(array $data, string $key, int $max = 500): string
    {
        $value = $data[$key] ?? '';
        if (!\is_string($value)) {
            throw Problem::invalid($key, 'Write this as text.');
        }

        return mb_strlen($value) > $max ? throw Problem::invalid($key, "Shorten this to $max characters.") : $value;
    }
}
