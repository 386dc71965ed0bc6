<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

use Telamon\Core\Form\Kinds\Address;
use Telamon\Core\Form\Kinds\AddressParts;
use Telamon\Core\Form\Kinds\AnyOf;
use Telamon\Core\Form\Kinds\Consent;
use Telamon\Core\Form\Kinds\Country;
use Telamon\Core\Form\Kinds\Day;
use Telamon\Core\Form\Kinds\DaySpan;
use Telamon\Core\Form\Kinds\DayTime;
use Telamon\Core\Form\Kinds\Email;
use Telamon\Core\Form\Kinds\Files;
use Telamon\Core\Form\Kinds\Hidden;
use Telamon\Core\Form\Kinds\Lines;
use Telamon\Core\Form\Kinds\LongText;
use Telamon\Core\Form\Kinds\Money;
use Telamon\Core\Form\Kinds\NameParts;
use Telamon\Core\Form\Kinds\Number;
use Telamon\Core\Form\Kinds\OneOf;
use Telamon\Core\Form\Kinds\Organisation;
use Telamon\Core\Form\Kinds\PersonName;
use Telamon\Core\Form\Kinds\Phone;
use Telamon\Core\Form\Kinds\Rating;
use Telamon\Core\Form\Kinds\Scale;
use Telamon\Core\Form\Kinds\Section;
use Telamon\Core\Form\Kinds\ShortText;
use Telamon\Core\Form\Kinds\Signature;
use Telamon\Core\Form\Kinds\Statement;
use Telamon\Core\Form\Kinds\Time;
use Telamon\Core\Form\Kinds\YesNo;

/** All kinds of questions. */
final class Kinds
{
    /** @var list<class-string<QuestionKind>> in the order that the designer offers them */
    public const ALL = [
        ShortText::class, LongText::class, PersonName::class, NameParts::class, Organisation::class, Email::class,
        Phone::class, Address::class, AddressParts::class, Number::class, Money::class, Day::class,
        Time::class, DayTime::class, DaySpan::class, OneOf::class, AnyOf::class, YesNo::class,
        Scale::class, Rating::class, Files::class, Signature::class, Consent::class, Lines::class,
        Statement::class, Section::class, Hidden::class, Country::class,
    ];

    /** @var array<string, QuestionKind>|null */
    private static ?array $kinds = null;

    /** @return array<string, QuestionKind> by name */
    public static function all(): array
    {
        if (null === self::$kinds) {
            self::$kinds = [];
            foreach (self::ALL as $kind) {
                self::$kinds[$kind::name()] = new $kind();
            }
        }

        return self::$kinds;
    }

    public static function find(string $name): ?QuestionKind
    {
        return self::all()[$name] ?? null;
    }
}
