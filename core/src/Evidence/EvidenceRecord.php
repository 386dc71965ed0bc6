<?php

declare(strict_types=1);

namespace Telamon\Core\Evidence;

/**
 * What was signed, as a record that anybody can check: all that was agreed, the drawing, and a seal over the SHA-256
 * (FIPS 180-4) of both. One spelling (RFC 8785), so that the record is one file byte for byte.
 */
final class EvidenceRecord
{
    /** Bytes that a record has at most: anybody may send one to be read, and what a quote says comes in a body of 1 MB. */
    public const MOST = 2_000_000;
    private const DRAWN = 'data:image/png;base64,';
    private const PARTS = ['document', 'drawing', 'seal'];

    /**
     * @param array<string, mixed> $document what was agreed, by whom, when and how; has no “drawing” of its own
     * @param string $drawing PNG as a data address (RFC 2397); empty where the name was typed
     *
     * @return string the bytes of the record
     */
    public static function close(array $document, string $drawing, SigningKey $key): string
    {
        $drawn = self::drawn($drawing) ?? throw new NotCanonical('the drawing is no picture');
        $document = ['drawing' => $drawn] + $document;
        $seal = ['algorithm' => SigningKey::ALGORITHM, 'document' => hash('sha256', CanonicalJson::write($document)), 'drawing' => $drawn, 'key' => $key->public];

        return CanonicalJson::write(['document' => $document, 'drawing' => $drawing, 'seal' => $seal + ['value' => $key->sign(CanonicalJson::write($seal))]]);
    }

    /** @return Verdict|null null where the bytes are no such record, nor what is left of one */
    public static function check(string $bytes, SigningKey $own): ?Verdict
    {
        try {
            $record = \strlen($bytes) > self::MOST ? throw new NotCanonical('it is too long') : CanonicalJson::read($bytes);
        } catch (NotCanonical) {
            return self::isLeftOfOne($bytes) ? Verdict::of([], null) : null;
        }
        // One key that was spoilt still leaves two.
        if (!$record instanceof \stdClass || \count(array_intersect(array_keys((array) $record), self::PARTS)) < 2) {
            return null;
        }

        return self::checkRead($record, $bytes, $own);
    }

    private static function checkRead(\stdClass $record, string $bytes, SigningKey $own): Verdict
    {
        $document = ($record->document ?? null) instanceof \stdClass ? $record->document : null;
        $said = null === $document ? null : (array) json_decode((string) json_encode($document, \JSON_PARTIAL_OUTPUT_ON_ERROR), true);
        $seal = ($record->seal ?? null) instanceof \stdClass ? (array) $record->seal : [];
        $value = $seal['value'] ?? null;
        unset($seal['value']);
        try {
            // What a seal does not hold together is not shown to hold.
            if (
                !\is_string($value)
                || !\is_string($seal['key'] ?? null)
                || SigningKey::ALGORITHM !== ($seal['algorithm'] ?? null)
                || !SigningKey::holds(CanonicalJson::write($seal), $value, $seal['key'])
            ) {
                return Verdict::of([], $said);
            }
            $holds = $own->public === $seal['key'] ? [Check::Key] : [];
            $fits = ($seal['document'] ?? null) === (null === $document ? null : hash('sha256', CanonicalJson::write($document)));
            $drawing = $record->drawing ?? null;
            $isDrawing = \is_string($drawing) && ($seal['drawing'] ?? null) === self::drawn($drawing);
            $holds = [...$holds, ...($fits ? [Check::Document] : []), ...($isDrawing ? [Check::Drawing] : [])];
            if ($fits && $isDrawing && CanonicalJson::write($record) === $bytes && self::PARTS === array_keys((array) $record)) {
                $holds[] = Check::File;
            }

            return Verdict::of($holds, $said);
        } catch (NotCanonical) {
            return Verdict::of([], $said);
        }
    }

    /** @return string|null SHA-256 of the picture; empty where nothing was drawn, null where it is no picture */
    private static function drawn(string $drawing): ?string
    {
        if ('' === $drawing) {
            return '';
        }
        $png = str_starts_with($drawing, self::DRAWN) ? base64_decode(substr($drawing, \strlen(self::DRAWN)), true) : false;

        return false === $png || '' === $png ? null : hash('sha256', $png);
    }

    private static function isLeftOfOne(string $bytes): bool
    {
        return \count(array_filter(self::PARTS, static fn (string $part): bool => str_contains($bytes, "\"$part\":"))) >= 2;
    }
}
