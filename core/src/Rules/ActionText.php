<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

/** The stored form of one action, read value by value. */
final readonly class ActionText
{
    private const LONGEST = 2000;

    /**
     * @param array<array-key, mixed> $row
     * @param string $path where it stands, for what is wrong with it: “then.0”
     */
    public function __construct(private array $row, private string $path)
    {
    }

    /** @throws InvalidRule where it is no text, or too long */
    public function text(string $name): string
    {
        $value = $this->row[$name] ?? '';
        $value = \is_int($value) ? (string) $value : $value;
        if (!\is_string($value)) {
            throw $this->wrong($name, 'Write this as text.');
        }
        $value = trim($value);

        return mb_strlen($value) > self::LONGEST ? throw $this->wrong($name, 'Shorten this to '.self::LONGEST.' characters.') : $value;
    }

    /** @throws InvalidRule where it is empty too */
    public function needed(string $name): string
    {
        $text = $this->text($name);

        return '' === $text ? throw $this->wrong($name, 'This is needed too.') : $text;
    }

    /**
     * @param list<string> $allowed
     *
     * @throws InvalidRule where it is none of these
     */
    public function oneOf(string $name, array $allowed, string $otherwise): string
    {
        $text = $this->needed($name);

        return \in_array($text, $allowed, true) ? $text : throw $this->wrong($name, $otherwise);
    }

    /**
     * Somebody, or several of whom one is chosen.
     *
     * @return array{string, list<string>} an id, rota or fewest; ids of those to choose among
     *
     * @throws InvalidRule where one of several is to be chosen and none are named
     */
    public function somebody(string $name): array
    {
        $named = $this->needed($name);
        $among = $this->text('among');
        if ('' === $among && (Turns::ROTA === $named || Turns::FEWEST === $named)) {
            throw $this->wrong('among', 'Choose who takes turns.');
        }

        return [$named, '' === $among ? [] : array_map(trim(...), explode(',', $among))];
    }

    public function wrong(string $name, string $why): InvalidRule
    {
        return new InvalidRule("{$this->path}.$name", $why);
    }
}
