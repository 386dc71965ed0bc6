<?php

declare(strict_types=1);

namespace Telamon\Http;

use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** Signs texts that go out and come back: what they are for, what they say, until when they hold (HMAC, RFC 2104, SHA-256). */
final readonly class SignedText
{
    public function __construct(private ClockInterface $clock, #[Autowire('%kernel.secret%')] private string $secret)
    {
    }

    public function sign(string $purpose, string $text, int $seconds): string
    {
        $until = $this->clock->now()->getTimestamp() + $seconds;

        return "$text.$until.".$this->mark($purpose, $text, $until);
    }

    /** @return string|null what was signed; null where it is not ours, for something else, or over */
    public function read(string $purpose, string $signed): ?string
    {
        $parts = explode('.', $signed);
        if (3 !== \count($parts) || 1 !== preg_match('/^[1-9]\d{0,11}$/D', $parts[1])) {
            return null;
        }
        $until = (int) $parts[1];

        return hash_equals($this->mark($purpose, $parts[0], $until), $parts[2]) && $until >= $this->clock->now()->getTimestamp() ? $parts[0] : null;
    }

    /** A mark of 16 signs that holds for ever: for what has to fit into an address. */
    public function short(string $purpose, string $text): string
    {
        return substr($this->mark($purpose, $text, 0), 0, 16);
    }

    public function isShort(string $purpose, string $text, string $mark): bool
    {
        return hash_equals($this->short($purpose, $text), $mark);
    }

    private function mark(string $purpose, string $text, int $until): string
    {
        return hash_hmac('sha256', "$purpose.$text.$until", $this->secret);
    }
}
