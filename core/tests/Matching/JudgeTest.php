<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Matching;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Matching\Commonness;
use Telamon\Core\Matching\Counted;
use Telamon\Core\Matching\DuplicateFinder;
use Telamon\Core\Matching\Estimator;
use Telamon\Core\Matching\Field;
use Telamon\Core\Matching\Judge;
use Telamon\Core\Matching\Judgement;
use Telamon\Core\Matching\Level;
use Telamon\Core\Matching\NothingCounted;
use Telamon\Core\Matching\Person;
use Telamon\Core\Matching\ShortForms;
use Telamon\Core\Matching\Thresholds;
use Telamon\Core\Matching\Verdict;
use Telamon\Core\Matching\Weights;

final class JudgeTest extends TestCase
{
    /** Fellegi and Sunter, JASA 64, 1969: agreement log2(m/u), disagreement log2((1−m)/(1−u)); figures recomputed. */
    public function testTheWeightsOfFellegiAndSunter(): void
    {
        self::assertEqualsWithDelta(6.570, Weights::log2(.95, .01), .0005);
        self::assertEqualsWithDelta(-4.308, Weights::log2(1 - .95, 1 - .01), .0006);
    }

    public function testTheSharesOfAFieldAreOneWhole(): void
    {
        foreach (Weights::defaults()->shares as $field => $levels) {
            // Of a town alone is said only where postal codes are not: it is a scale of its own.
            unset($levels['town']);
            foreach (['h', 'u'] as $class) {
                // What is shared is told from what is equal only once it is known: the two overlap.
                $overlap = isset($levels['shared']) ? .41 : .03;
                self::assertEqualsWithDelta(1, array_sum(array_column($levels, $class)), $overlap, "$field $class");
            }
        }
    }

    #[DataProvider('pairs')]
    public function testVerdicts(Person $a, Person $b, Verdict $verdict): void
    {
        self::assertSame($verdict, self::judge($a, $b)->verdict);
        self::assertSame($verdict, self::judge($b, $a)->verdict, 'either way round');
    }

    /** @return iterable<string, array{Person, Person, Verdict}> */
    public static function pairs(): iterable
    {
        $orla = new Person('Orla', 'Fennick', '', ['orla.fennick@example.com'], ['+353209143327'], '7 Weir Cottages', 'Marrowby', 'M09 AB12');
        yield 'name and mail' => [$orla, new Person('Orla', 'Fennick', '', ['orla.fennick@example.com']), Verdict::Same];
        yield 'married, the rest as before' => [$orla, new Person('Orla', 'Ambry', '', ['orla.fennick@example.com'], ['+353209143327']), Verdict::Same];
        yield 'changed about, with the phone' => [$orla, new Person('Fennick', 'Orla', '', [], ['+353209143327']), Verdict::Same];
        yield 'the same mail, no name' => [$orla, new Person('', '', '', ['orla.fennick@example.com']), Verdict::Same];
        yield 'her husband' => [
            $orla,
            new Person('Wilf', 'Fennick', '', ['wilf.fennick@example.com'], ['+353209143327'], '7 Weir Cottages', 'Marrowby', 'M09 AB12'),
            Verdict::Household,
        ];
        yield 'her husband, from her mailbox' => [
            $orla,
            new Person('Wilf', 'Fennick', '', ['orla.fennick@example.com'], ['+353209143327'], '7 Weir Cottages', 'Marrowby', 'M09 AB12'),
            Verdict::Household,
        ];
        yield 'a name alike, of a household: somebody is asked' => [
            new Person('Michael', 'Ambry', '', [], ['+353209143327'], '9 Mill Race', 'Marrowby'),
            new Person('Michelle', 'Ambry', '', [], ['+353209143327'], '9 Mill Race', 'Marrowby'),
            Verdict::Perhaps,
        ];
        yield 'a neighbour' => [$orla, new Person('Tess', 'Quill', '', ['tess@example.org'], ['+353209171044'], '8 Weir Cottages', 'Marrowby', 'M09 AB12'), Verdict::Different];
        yield 'nothing said' => [$orla, new Person('', ''), Verdict::Different];
    }

    public function testClashingGivenNamesAreNeverOnePerson(): void
    {
        $a = new Person('Orla', 'Fennick', 'Weir Hall', ['a@example.com', 'b@example.com'], ['+353209143327'], '7 Weir Cottages', 'Marrowby', 'M09 AB12');
        $b = new Person('Wilf', 'Fennick', 'Weir Hall', ['a@example.com'], ['+353209143327'], '7 Weir Cottages', 'Marrowby', 'M09 AB12');
        // Even if the records had said that every household is one person.
        $shares = Weights::defaults()->shares;
        $shares['given']['different'] = ['m' => 1.0, 'h' => .958, 'u' => .976];
        $judgement = (new Judge(new ShortForms(), weights: new Weights($shares)))->judge($a, $b);
        self::assertNotSame(Verdict::Same, $judgement->verdict);
        self::assertLessThan((new Thresholds())->same, $judgement->probability);
    }

    public function testACommonNameSaysLessThanARareOne(): void
    {
        $counted = new Counted();
        for ($i = 0; $i < 3000; ++$i) {
            $counted->add(new Person($i < 300 ? 'Mary' : "Given$i", $i < 200 ? 'Byrne' : "Family$i"));
        }
        $weight = static fn (string $given, string $family): float => self::judge(
            new Person($given, $family),
            new Person($given, $family),
            $counted,
        )->weights[Field::Family->value];
        self::assertGreaterThan($weight('Mary', 'Byrne') + 3, $weight('Given400', 'Family400'));
    }

    public function testTheFieldsWeightsAndTheOddsBeforeMakeTheProbability(): void
    {
        $judgement = self::judge(new Person('Orla', 'Fennick'), new Person('Orla', 'Fennick'));
        self::assertSame(Level::Same, $judgement->levels['given']);
        self::assertSame(0.0, $judgement->weights['phone']);
        // Worked by hand from the defaults: 0.085 of 150 pairs; 0.72/0.006 × 0.78/0.003 × 0.97/0.9999.
        $odds = .085 / 150 * (.72 / .006) * (.78 / .003) * (.97 / .9999);
        $household = .05 / 150 * .3 * (.80 / .003) * (.999 / .9999);
        self::assertEqualsWithDelta($odds / ($odds + $household + 1), $judgement->probability, 1e-9);
    }

    public function testThresholdsAreInOrder(): void
    {
        self::assertSame(Verdict::Perhaps, (new Judge(new ShortForms(), thresholds: new Thresholds(.9999999, .9)))->judge(
            new Person('Orla', 'Fennick', '', ['orla@example.com']), new Person('Orla', 'Fennick', '', ['orla@example.com']))->verdict);
        $this->expectException(\InvalidArgumentException::class);
        new Thresholds(.5, .6);
    }

    public function testPairsAreFoundBestFirst(): void
    {
        $people = [
            'a' => new Person('Orla', 'Fennick', '', ['orla.fennick@example.com'], ['+353209143327']),
            'b' => new Person('Wilf', 'Ambry', '', ['wilf@example.com'], ['+353209171044'], '9 Mill Race', 'Marrowby'),
            'c' => new Person('Wilfred', 'Ambry', '', [], ['+353209171044'], '9 Mill Race', 'Marrowby'),
            'd' => new Person('Orla', 'Fenick', '', [], ['+353209143327']),
            'e' => new Person('Nora', 'Ambry', '', [], ['+353209171044'], '9 Mill Race', 'Marrowby'),
        ];
        $seen = [];
        $pairs = (new DuplicateFinder(new ShortForms()))->pairs($people, .5, static function (int $done) use (&$seen): void {
            $seen[] = $done;
        });
        self::assertSame([['a', 'd'], ['b', 'c']], array_map(static fn (array $pair): array => [$pair[0], $pair[1]], $pairs));
        self::assertSame([0], $seen);
    }

    public function testTheWeightsFollowTheRecords(): void
    {
        $levels = static fn (Level $given, Level $family, Level $phone): array => ['given' => $given, 'family' => $family, 'phone' => $phone];
        $near = array_merge(
            // Of one person: everybody keeps the phone here, and a quarter write a short form.
            array_fill(0, 300, $levels(Level::Same, Level::Same, Level::Same)),
            array_fill(0, 100, $levels(Level::Form, Level::Same, Level::Same)),
            // Of two: only the key that they share.
            array_fill(0, 2000, $levels(Level::Different, Level::Same, Level::Different)),
        );
        $random = array_fill(0, 5000, $levels(Level::Different, Level::Different, Level::Different));
        $weights = (new Estimator())->estimate($near, $random, Weights::defaults());
        self::assertEqualsWithDelta(.24, $weights->shares['given']['form']['m'], .03);
        self::assertGreaterThan(.9, $weights->shares['phone']['same']['m']);
        self::assertSame(Weights::defaults()->shares['given']['different']['m'], $weights->shares['given']['different']['m'], 'held');
        self::assertSame(Weights::defaults()->shares['email'], $weights->shares['email'], 'nothing was said of it');
        self::assertEquals(Weights::defaults(), (new Estimator())->estimate([], [], Weights::defaults()));
    }

    private static function judge(Person $a, Person $b, Commonness $commonness = new NothingCounted()): Judgement
    {
        return (new Judge(new ShortForms(), $commonness))->judge($a, $b);
    }
}
