<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** What kind of answer a question asks for. */
enum QuestionType: string
{
    case ShortText = 'short-text';
    case LongText = 'long-text';
    case PersonName = 'person-name';
    case Organisation = 'organisation';
    case Email = 'email';
    case Phone = 'phone';
    case Address = 'address';
    case Number = 'number';
    case Money = 'money';
    case Day = 'day';
    case Time = 'time';
    case OneOf = 'one-of';
    case AnyOf = 'any-of';
    case YesNo = 'yes-no';
    case Scale = 'scale';
    case Rating = 'rating';
    case Files = 'files';
    case Consent = 'consent';
    case Statement = 'statement';
    case Hidden = 'hidden';

    /** The length in characters that an answer may have when the question does not say. */
    public function defaultMaxLength(): int
    {
        return match ($this) {
            self::LongText => 4000,
            self::Email => 254,
            self::Phone, self::Day, self::Number, self::Money => 40,
            self::Time, self::Scale, self::Rating, self::YesNo, self::Consent => 10,
            default => 200,
        };
    }

    /** Whether the answer is a list: of upload ids, or of options. */
    public function takesMany(): bool
    {
        return self::Files === $this || self::AnyOf === $this;
    }

    public function offersOptions(): bool
    {
        return self::OneOf === $this || self::AnyOf === $this;
    }

    /** @return list<Destination> the record fields that an answer of this kind may go to */
    public function destinations(): array
    {
        return match ($this) {
            self::PersonName, self::Organisation => [Destination::ClientName, Destination::ProjectNotes],
            self::Email => [Destination::ClientEmail, Destination::ProjectNotes],
            self::Phone => [Destination::ClientPhone, Destination::ProjectNotes],
            self::Address => [Destination::AssetPlace, Destination::ProjectNotes],
            self::Day => [Destination::ProjectReadyBy, Destination::ProjectNotes],
            self::OneOf => [Destination::ProjectService, Destination::AssetDescription, Destination::ProjectNotes],
            self::ShortText => [Destination::AssetDescription, Destination::AssetPlace, Destination::ClientName, Destination::ProjectService, Destination::ProjectNotes],
            self::LongText => [Destination::ProjectNotes, Destination::AssetDescription],
            self::Files => [Destination::Files],
            self::Statement => [],
            default => [Destination::ProjectNotes],
        };
    }
}
