<?php

declare(strict_types=1);

namespace Telamon\Core\Replies;

/** A reply in its parts: what was written now, what was repeated of earlier letters, and the signature. */
final readonly class ReplyText
{
    public function __construct(public string $said, public string $quoted = '', public string $signature = '')
    {
    }
}
