<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** What kind of answer a question asks for. */
enum QuestionType: string
{
    case ShortText = 'short-text';
    case LongText = 'long-text';
    case PersonName = 'person-name';
    case Email = 'email';
    case Phone = 'phone';
    case Address = 'address';
    case Day = 'day';
    case OneOf = 'one-of';
    case Files = 'files';

    /** The length in characters that an answer may have when the question does not say. */
    public function defaultMaxLength(): int
    {
        return match ($this) {
            self::LongText => 4000,
            self::Email => 254,
            self::Phone, self::Day => 40,
            default => 200,
        };
    }
}
