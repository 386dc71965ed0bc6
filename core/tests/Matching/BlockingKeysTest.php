<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Matching;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Matching\BlockingKeys;
use Telamon\Core\Matching\Field;
use Telamon\Core\Matching\Person;
use Telamon\Core\Matching\ShortForms;

/** Under which keys people are filed. Two who share none are never compared, so every key that is lost loses somebody. */
final class BlockingKeysTest extends TestCase
{
    public function testSomebodyIsFiledUnderAllThatTellsThem(): void
    {
        $person = new Person('Bob', 'Mac Ambry', '', ['robert.ambry@x.example'], ['+353209143327'], '7 Weir Cottages', 'Marrowby', 'M12 AB');
        self::assertSame([
            'e:robert.ambry@x.example', 'l:robert.ambry', 'p:09143327',
            // By the full form of a short one, and by each word of the family name; in no order.
            'n:MKMR|RBRT', 'n:BB|MK', 'n:AMR|BB', 'i:MKMR|b', 'f:MKMR|3327', 'h:MKMR|0914',
            'z:MKMR|m12ab', 'g:RBRT|m12ab', 'z:MKMR|marrowby', 'a:7|WR', 's:m12ab|WR',
        ], self::of($person));
    }

    /** @param list<string> $keys */
    #[DataProvider('little')]
    public function testOfWhomLittleIsKnownIsFiledUnderThat(Person $person, array $keys): void
    {
        self::assertSame($keys, self::of($person));
    }

    /** @return iterable<string, array{Person, list<string>}> */
    public static function little(): iterable
    {
        yield 'nothing' => [new Person('', ''), []];
        yield 'a given name' => [new Person('Bob', ''), ['n:|RBRT']];
        yield 'a family name' => [new Person('', 'Ambry'), []];
        yield 'names changed about' => [new Person('Ambry', 'Bob'), ['n:AMR|BB', 'i:BB|a']];
        yield 'an office mailbox' => [new Person('', '', '', ['info@x.example']), ['e:info@x.example']];
        yield 'a long office mailbox' => [new Person('', '', '', ['reception@x.example']), ['e:reception@x.example']];
        yield 'a short mailbox' => [new Person('', '', '', ['bobby@x.example']), ['e:bobby@x.example']];
        yield 'a mailbox long enough' => [new Person('', '', '', ['bobbya@x.example']), ['e:bobbya@x.example', 'l:bobbya']];
        yield 'no address at all' => [new Person('', '', '', ['bobbyambry']), ['e:bobbyambry']];
        yield 'a house number alone' => [new Person('', '', '', [], [], '7'), []];
        yield 'a house name' => [new Person('', '', '', [], [], 'Weir House'), []];
        yield 'a house name with its area' => [new Person('', '', '', [], [], 'Weir House', '', 'M12'), ['z:|m12', 's:m12|WR']];
        yield 'a town' => [new Person('', 'Ambry', '', [], [], '', 'Marrowby'), ['z:AMR|marrowby']];
        yield 'a number with country and area' => [new Person('', '', '', [], ['+353209143327', '+44209143327']), ['p:09143327', 'f:|3327', 'h:|0914']];
        yield 'a form of address alone' => [new Person('Mr', 'Ambry'), ['n:AMR|MR', 'i:AMR|m']];
        yield 'with a form of address' => [new Person('Mr Bob', 'Ambry'), ['n:AMR|RBRT', 'n:AMR|BB', 'i:AMR|b']];
    }

    public function testEveryPlaceCounts(): void
    {
        $place = new Person('', '', '', [], [], '9 Quay', 'Corvane');
        $keys = self::of(new Person('', 'Ambry', '', [], [], '7 Weir Cottages', 'Marrowby', '', [$place]));
        self::assertSame(['z:AMR|marrowby', 'z:AMR|corvane', 'a:7|WR', 'a:9|K'], $keys);
    }

    public function testWhatIsFiledIsTheHashesOfTheKeysAndTheNamesToBeCounted(): void
    {
        $keys = new BlockingKeys(new ShortForms());
        $person = new Person('Bob', 'Mac Ambry', '', ['b@x.example', 'b@x.example']);
        self::assertSame(array_map(BlockingKeys::hash(...), [...self::of($person), 'c:bob', 'd:macambry']), $keys->filed($person));
        self::assertSame([], $keys->filed(new Person('', '')));
        self::assertSame(['c:bob', 'd:ambry'], [BlockingKeys::counted(Field::Given, 'bob'), BlockingKeys::counted(Field::Family, 'ambry')]);
        // XXH64 of nothing under seed 0 is EF46DB3751D8E999 (xxHash specification); the sign is left off.
        self::assertSame(0x6F46DB3751D8E999, BlockingKeys::hash(''));
    }

    /** @return list<string> */
    private static function of(Person $person): array
    {
        return (new BlockingKeys(new ShortForms()))->of($person);
    }
}
