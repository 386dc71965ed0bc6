<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

/** Why a rule cannot be, in words, with the field to look at. */
final class InvalidRule extends \DomainException
{
    public function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }
}
