<?php

declare(strict_types=1);

namespace Telamon\Core\Messages;

/** Text with merge fields, as a subject or a text message is kept: "Your quote for the {{asset|piano}}". */
final readonly class FieldLine
{
    private const FIELD = '/\{\{ *([a-z][a-z0-9_.]*) *(?:\|([^{}]*))?\}\}/';

    public function __construct(public string $text)
    {
    }

    /** @return list<string> names, each once */
    public function fields(): array
    {
        preg_match_all(self::FIELD, $this->text, $found);

        return array_values(array_unique($found[1]));
    }

    /** Whether braces stand where no field can be read. */
    public function isBroken(): bool
    {
        return 1 === preg_match('/\{\{|\}\}/', (string) preg_replace(self::FIELD, '', $this->text));
    }

    /**
     * @param array<string, string> $values by field
     *
     * @return list<string> the fields that nothing fills
     */
    public function gaps(array $values): array
    {
        preg_match_all(self::FIELD, $this->text, $found, \PREG_SET_ORDER | \PREG_UNMATCHED_AS_NULL);
        $gaps = [];
        foreach ($found as [, $name, $or]) {
            if ('' === trim($values[$name] ?? '') && null === $or) {
                $gaps[] = $name;
            }
        }

        return array_values(array_unique($gaps));
    }

    /** @param array<string, string> $values by field */
    public function filled(array $values): string
    {
        return trim((string) preg_replace_callback(self::FIELD, static function (array $m) use ($values): string {
            $value = trim($values[$m[1]] ?? '');

            return Bidi::apart('' === $value ? trim($m[2] ?? '') : $value);
        }, $this->text));
    }

    /**
     * One line of at most 200 letters: a line break in a value must not become a header of a mail.
     *
     * @param array<string, string> $values by field
     */
    public function oneLine(array $values): string
    {
        return mb_substr(trim((string) preg_replace('/[\s\p{Cc}]+/u', ' ', $this->filled($values))), 0, 200);
    }
}
