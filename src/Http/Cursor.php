<?php

declare(strict_types=1);

namespace Telamon\Http;

use Symfony\Component\HttpFoundation\Request;

/** Where a page of a list begins: the sort value and id of the last row before it. Opaque to callers. */
final readonly class Cursor
{
    public function __construct(public string $value, public string $id)
    {
    }

    /** @throws Problem 422 when the cursor is none of ours */
    public static function from(Request $request): ?self
    {
        $text = $request->query->getString('cursor');
        if ('' === $text) {
            return null;
        }
        $parts = explode("\n", (string) base64_decode(strtr($text, '-_', '+/'), true));

        return 2 === \count($parts) ? new self($parts[0], $parts[1]) : throw Problem::invalid('cursor', 'This is no cursor of this list.');
    }

    public function text(): string
    {
        return rtrim(strtr(base64_encode("{$this->value}\n{$this->id}"), '+/', '-_'), '=');
    }
}
