<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

use Telamon\Core\Form\QuestionType as Kind;

/** What a field holds that the business added to its clients, assets or projects. */
enum CustomKind: string
{
    case Text = 'text';
    case Number = 'number';
    case Day = 'day';
    case Choice = 'choice';
    case YesNo = 'yes-no';

    /** @return list<Kind> kinds of questions whose answers it can hold */
    public function fits(): array
    {
        return match ($this) {
            self::Text => [Kind::ShortText, Kind::LongText, Kind::PersonName, Kind::NameParts, Kind::Organisation, Kind::Email, Kind::Phone, Kind::Address, Kind::AddressParts, Kind::Number, Kind::Money, Kind::Time, Kind::DayTime, Kind::DaySpan, Kind::OneOf, Kind::AnyOf, Kind::YesNo, Kind::Hidden],
            self::Number => [Kind::Number, Kind::Money, Kind::Scale, Kind::Rating],
            self::Day => [Kind::Day],
            self::Choice => [Kind::OneOf, Kind::Hidden],
            self::YesNo => [Kind::YesNo, Kind::Consent],
        };
    }

    /** Whether any custom field can hold an answer of this kind. */
    public static function anyFor(Kind $kind): bool
    {
        return [] !== array_filter(self::cases(), static fn (self $one): bool => \in_array($kind, $one->fits(), true));
    }
}
