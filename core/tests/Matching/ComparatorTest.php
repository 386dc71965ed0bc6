<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Matching;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Matching\BlockingKeys;
use Telamon\Core\Matching\Comparator;
use Telamon\Core\Matching\Counted;
use Telamon\Core\Matching\Field;
use Telamon\Core\Matching\Level;
use Telamon\Core\Matching\Person;
use Telamon\Core\Matching\ShortForms;
use Telamon\Core\Text\Fold;

final class ComparatorTest extends TestCase
{
    #[DataProvider('names')]
    public function testNames(string $givenA, string $familyA, string $givenB, string $familyB, Level $given, Level $family, Level $order = Level::Same): void
    {
        $levels = self::compare(new Person($givenA, $familyA), new Person($givenB, $familyB));
        self::assertSame([$given, $family, $order], [$levels[Field::Given->value], $levels[Field::Family->value], $levels[Field::Order->value]]);
        $back = self::compare(new Person($givenB, $familyB), new Person($givenA, $familyA));
        self::assertSame([$given, $family, $order], [$back[Field::Given->value], $back[Field::Family->value], $back[Field::Order->value]], 'either way round');
    }

    /** @return iterable<string, array{string, string, string, string, Level, Level, 6?: Level}> */
    public static function names(): iterable
    {
        yield 'equal' => ['Orla', 'Fennick', 'orla', 'FENNICK', Level::Same, Level::Same];
        yield 'accents and apostrophes' => ['Gráinne', "O'Beirne", 'Grainne', 'OBeirne', Level::Same, Level::Same];
        yield 'a particle apart' => ['Maeve', 'Mac Cafraidh', 'Maeve', 'MacCafraidh', Level::Same, Level::Same];
        yield 'a second given name' => ['Orla Mary', 'Fennick', 'Orla', 'Fennick', Level::Same, Level::Same];
        yield 'known by the second' => ['Mary Orla', 'Fennick', 'Orla', 'Fennick', Level::Part, Level::Same];
        yield 'a short form' => ['Bob', 'Ambry', 'Robert', 'Ambry', Level::Form, Level::Same];
        yield 'two short forms of one name' => ['Peg', 'Ambry', 'Maggie', 'Ambry', Level::Form, Level::Same];
        yield 'an initial' => ['R.', 'Ambry', 'Robert', 'Ambry', Level::Initial, Level::Same];
        yield 'another initial' => ['S', 'Ambry', 'Robert', 'Ambry', Level::Different, Level::Same];
        yield 'a slip' => ['Robret', 'Ambry', 'Robert', 'Ambrey', Level::Near, Level::Near];
        yield 'alike, but two names' => ['Michelle', 'Ambry', 'Michael', 'Ambry', Level::Other, Level::Same];
        yield 'brother and sister' => ['Wilf', 'Ambry', 'Nora', 'Ambry', Level::Different, Level::Same];
        yield 'a double name' => ['Orla', 'Fennick-Ambry', 'Orla', 'Ambry', Level::Same, Level::Part];
        yield 'changed about' => ['Orla', 'Fennick', 'Fennick', 'Orla', Level::Same, Level::Same, Level::Different];
        yield 'changed about, with a particle' => ['Ní Bhraonáin', 'Úna', 'Úna', 'Ni Bhraonain', Level::Same, Level::Same, Level::Different];
        yield 'changed about, another family' => ['Ni Futhstar', 'Wilfred', 'Wilfred', 'Ni Dufelsom', Level::Different, Level::Different];
        yield 'no family name' => ['Orla', '', 'Orla', 'Fennick', Level::Same, Level::Missing];
        yield 'no name at all' => ['', '', 'Orla', 'Fennick', Level::Missing, Level::Missing];
    }

    public function testOfSeveralPlacesThoseThatAgreeMostAreCompared(): void
    {
        $at = static fn (string $line, string $locality, Person ...$elsewhere): Person => new Person('', '', '', [], [], $line, $locality, '', array_values($elsewhere));
        $levels = static function (Person $a, Person $b): array {
            $levels = self::compare($a, $b);

            return [$levels['address'], $levels['area']];
        };
        $quay = $at('9 Quay', 'Corvane');
        self::assertSame([Level::Same, Level::Town], $levels($at('3 Mill Row', 'Marrowby', $quay), $at('1 Orchard', 'Saltfold', $quay)), 'on both sides');
        self::assertSame(
            [Level::Same, Level::Different],
            $levels($at('3 Mill Row', 'Marrowby'), $at('1 Orchard', 'Marrowby', $at('3 Mill Row', 'Saltfold'))),
            'a house says more than a town',
        );
        self::assertSame(
            [Level::Near, Level::Town],
            $levels($at('31 Mill Row', 'Marrowby', $quay), $at('31 Mil Row', 'Marrowby', $at('35 Mill Row', 'Marrowby'))),
            'nearly says more than a part of it',
        );
        self::assertSame(
            [Level::Different, Level::Town],
            $levels($at('3 Mill Row', 'Marrowby'), $at('1 Orchard', 'Saltfold', $at('8 Ropewalk', 'Marrowby'))),
            'the same town, where no house is',
        );
        self::assertSame([Level::Missing, Level::Missing], $levels($at('', '', $quay), $at('', '')), 'none on one side');
        self::assertSame([Level::Same, Level::Town], $levels($at('', '', $quay), $at('', '', $at('', 'Saltfold'), $quay)));
        self::assertCount(2, $at('9 Quay', 'Corvane', $quay, $at('3 Mill Row', 'Marrowby'), $at('', ''))->places(), 'each once, and none that is no place');
    }

    /**
     * @param list<string> $a
     * @param list<string> $b
     */
    #[DataProvider('points')]
    public function testMailAndPhone(Field $field, array $a, array $b, Level $level): void
    {
        $person = static fn (array $points): Person => Field::Email === $field ? new Person('', '', '', array_values($points)) : new Person('', '', '', [], array_values($points));
        self::assertSame($level, self::compare($person($a), $person($b))[$field->value]);
    }

    /** @return iterable<string, array{Field, list<string>, list<string>, Level}> */
    public static function points(): iterable
    {
        yield 'mail' => [Field::Email, ['Orla@example.com'], ['x@example.com', 'orla@example.com'], Level::Same];
        yield 'mail with a slip' => [Field::Email, ['orla.fennick@example.com'], ['orla.fenick@example.com'], Level::Near];
        yield 'mail with letters changed about' => [Field::Email, ['orla.fennick@example.com'], ['olra.fennick@example.com'], Level::Near];
        yield 'the number of the next of that name' => [Field::Email, ['orla.fennick1@example.com'], ['orla.fennick2@example.com'], Level::Different];
        yield 'another provider' => [Field::Email, ['orla.fennick@example.com'], ['orla.fennick@example.org'], Level::LocalPart];
        yield 'another mailbox' => [Field::Email, ['orla@example.com'], ['wilf@example.com'], Level::Different];
        yield 'no mail' => [Field::Email, [], ['wilf@example.com'], Level::Missing];
        yield 'phone' => [Field::Phone, ['+353209143327'], ['+353209143327'], Level::Same];
        yield 'phone with figures changed about' => [Field::Phone, ['+353209143327'], ['+353209143372'], Level::Near];
        yield 'phone with a figure wrong' => [Field::Phone, ['+353209143327'], ['+353209143347'], Level::Near];
        yield 'phone with a figure missing' => [Field::Phone, ['+353209143327'], ['+35320914327'], Level::Near];
        yield 'another phone' => [Field::Phone, ['+353209143327'], ['+353209171044'], Level::Different];
    }

    #[DataProvider('places')]
    public function testPlaces(Person $a, Person $b, Level $address, Level $area): void
    {
        $levels = self::compare($a, $b);
        self::assertSame([$address, $area], [$levels[Field::Address->value], $levels[Field::Area->value]]);
    }

    /** @return iterable<string, array{Person, Person, Level, Level}> */
    public static function places(): iterable
    {
        $at = static fn (string $line, string $town = '', string $code = ''): Person => new Person('', '', '', [], [], $line, $town, $code);
        yield 'equal' => [$at('7 Weir Cottages', 'Marrowby', 'M09 AB12'), $at('7, Weir cottages', 'Marrowby', 'm09ab12'), Level::Same, Level::Same];
        yield 'the kind of street short' => [$at('12 Mill Road'), $at('12 Mill Rd.'), Level::Same, Level::Missing];
        yield 'a slip' => [$at('12 Fletcher Street', 'Marrowby'), $at('12 Flecther St', 'Marowby'), Level::Near, Level::Town];
        yield 'the house next door' => [$at('12 Mill Road'), $at('13 Mill Road'), Level::Part, Level::Missing];
        yield 'another house' => [$at('7 Mill Road', 'Marrowby', 'M09 AB12'), $at('94 Mill Road', 'Marrowby', 'M09 XY77'), Level::Different, Level::Part];
        yield 'another town' => [$at('7 Mill Road', 'Marrowby', 'M09 AB12'), $at('7 Mill Road', 'Saltfold', 'S01 AB12'), Level::Same, Level::Different];
        yield 'nothing said' => [$at(''), $at('7 Mill Road', 'Saltfold'), Level::Missing, Level::Missing];
    }

    public function testWhatSeveralClientsHaveIsKnownToBeShared(): void
    {
        $counted = new Counted();
        $family = array_map(static fn (string $given): Person => new Person($given, 'Ambry', '', ['home@example.com']), ['Wilf', 'Nora', 'Tess']);
        array_map($counted->add(...), $family);
        self::assertSame(Level::Shared, (new Comparator(new ShortForms(), $counted))->compare($family[0], $family[1])[Field::Email->value]);
        self::assertSame(2, $counted->family('ambry'), 'beside the one who is compared');
        self::assertSame(0, $counted->given('nora'));
    }

    public function testFoldingLeavesPlainLettersAndFigures(): void
    {
        self::assertSame('ni bhraonain strasse 7', Fold::text(' Ní Bhraonáin – Straße, 7 '));
        self::assertSame('obeirne', Fold::text("O'Beirne"));
        self::assertSame('obeirne', Fold::text('O’Beirne'));
    }

    /** Two who may be one person share a key, whatever went wrong between their records. */
    #[DataProvider('damages')]
    public function testAKeyIsShared(Person $a, Person $b): void
    {
        $keys = new BlockingKeys(new ShortForms());
        self::assertNotSame([], array_intersect($keys->of($a), $keys->of($b)));
    }

    /** @return iterable<string, array{Person, Person}> */
    public static function damages(): iterable
    {
        $orla = new Person('Orla', 'Fennick', '', ['orla.fennick@example.com'], ['+353209143327'], '7 Weir Cottages', 'Marrowby', 'M09 AB12');
        yield 'names changed about' => [$orla, new Person('Fennick', 'Orla')];
        yield 'married, new mail, new phone' => [$orla, new Person('Orla', 'Ambry', '', ['orla@example.org'], ['+353209100000'], '7 Weir Cottages', 'Marrowby', 'M09 AB12')];
        yield 'moved, new phone, another provider' => [
            $orla,
            new Person('O', 'Fenick', '', ['orla.fennick@example.org'], ['+353209100000'], '94 Mill Road', 'Saltfold', 'S01 XY77'),
        ];
        yield 'a slip in the phone, no mail' => [$orla, new Person('O.', 'Fennick', '', [], ['+353209143337'])];
        yield 'a short form' => [new Person('Robert', 'Ambry'), new Person('Bobby', 'Ambry')];
    }

    public function testStrangersShareNone(): void
    {
        $keys = new BlockingKeys(new ShortForms());
        self::assertSame([], array_intersect(
            $keys->of(new Person('Orla', 'Fennick', '', ['info@example.com'], ['+353209143327'], '7 Weir Cottages', 'Marrowby', 'M09 AB12')),
            $keys->of(new Person('Wilf', 'Ambry', '', ['info@example.org'], ['+353209171044'], '94 Mill Road', 'Saltfold', 'S01 XY77')),
        ));
    }

    /** @return array<string, Level> */
    private static function compare(Person $a, Person $b): array
    {
        return (new Comparator(new ShortForms()))->compare($a, $b);
    }
}
