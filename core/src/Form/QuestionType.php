<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** What kind of answer a question asks for. */
enum QuestionType: string
{
    case ShortText = 'short-text';
    case LongText = 'long-text';
    case PersonName = 'person-name';
    case NameParts = 'name-parts';
    case Organisation = 'organisation';
    case Email = 'email';
    case Phone = 'phone';
    case Address = 'address';
    case AddressParts = 'address-parts';
    case Number = 'number';
    case Money = 'money';
    case Day = 'day';
    case Time = 'time';
    case DayTime = 'day-time';
    case DaySpan = 'day-span';
    case OneOf = 'one-of';
    case AnyOf = 'any-of';
    case YesNo = 'yes-no';
    case Scale = 'scale';
    case Rating = 'rating';
    case Files = 'files';
    case Signature = 'signature';
    case Consent = 'consent';
    case Lines = 'lines';
    case Statement = 'statement';
    case Section = 'section';
    case Hidden = 'hidden';

    /** The length in characters that an answer, or each part of one, may have when the question does not say. */
    public function defaultMaxLength(): int
    {
        return match ($this) {
            self::LongText => 4000,
            self::Email => 254,
            self::Phone, self::Day, self::DayTime, self::DaySpan, self::Number, self::Money => 40,
            self::Time, self::Scale, self::Rating, self::YesNo, self::Consent => 10,
            default => 200,
        };
    }

    /** @return list<string> the parts that an answer is sent in, by their keys; none where it is one text or a list */
    public function parts(): array
    {
        return match ($this) {
            self::NameParts => ['given', 'family'],
            self::AddressParts => ['line', 'locality', 'postalCode', 'country'],
            self::DayTime => ['day', 'time'],
            self::DaySpan => ['from', 'to'],
            self::Signature => ['name', 'how', 'image'],
            default => [],
        };
    }

    /** Whether anything is asked; what only tells has no number and no answer. */
    public function asks(): bool
    {
        return self::Statement !== $this && self::Section !== $this;
    }

    public function offersOptions(): bool
    {
        return self::OneOf === $this || self::AnyOf === $this;
    }

    /** Whether a line of a table may ask this. */
    public function fitsInLines(): bool
    {
        return $this->asks() && !\in_array($this, [self::Lines, self::Files, self::Signature, self::Hidden, self::Consent, self::NameParts, self::AddressParts, self::DayTime, self::DaySpan], true);
    }

    /** @return list<Destination> the record fields that an answer of this kind may go to, the usual one first */
    public function destinations(): array
    {
        $fits = array_values(array_filter(Destination::cases(), fn (Destination $one): bool => \in_array($this, $one->kinds(), true)));
        $usual = match ($this) {
            self::Address, self::AddressParts => Destination::AssetPlace,
            self::OneOf => Destination::ProjectService,
            self::ShortText => Destination::AssetDescription,
            self::LongText => Destination::ProjectNotes,
            default => $fits[0] ?? null,
        };

        return null === $usual ? [] : [$usual, ...array_values(array_filter($fits, static fn (Destination $one): bool => $one !== $usual))];
    }
}
