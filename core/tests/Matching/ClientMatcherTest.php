<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Matching;

use PHPUnit\Framework\TestCase;
use Telamon\Core\Form\Readings;
use Telamon\Core\Matching\BlockingKeys;
use Telamon\Core\Matching\Candidate;
use Telamon\Core\Matching\ComparedField;
use Telamon\Core\Matching\Directory;
use Telamon\Core\Matching\FieldWords;
use Telamon\Core\Matching\Judge;
use Telamon\Core\Matching\KnownClient;
use Telamon\Core\Matching\Person;
use Telamon\Core\Matching\ShortForms;
use Telamon\Core\Matching\Verdict;
use Telamon\Core\Tests\Fixtures;
use Telamon\Core\Text\Fold;

final class ClientMatcherTest extends TestCase
{
    public function testWhoGivesNothingToFindThemByIsNotLookedFor(): void
    {
        $directory = new class implements Directory {
            public function people(array $keys): array
            {
                throw new \LogicException('nobody is to be asked');
            }

            public function clients(array $ids): array
            {
                throw new \LogicException('nobody is to be asked');
            }

            public function person(string $id): ?Person
            {
                throw new \LogicException('nobody is to be asked');
            }

            public function judge(): Judge
            {
                throw new \LogicException('nobody is to be asked');
            }
        };
        self::assertSame([], Fixtures::matcher()->candidates(self::readings(['name' => null, 'email' => null, 'phone' => null, 'place' => null]), $directory));
    }

    public function testTheLikeliestComesFirstAndNoHouseholdBehind(): void
    {
        $found = Fixtures::candidates(self::readings(), [
            new KnownClient('c1', 'Orla Fenick', 2021, [], ['+353209143327'], '', [], [], 'Orla', 'Fenick'),
            Fixtures::known('c2'),
            new KnownClient('c3', 'Wilf Fennick', 2021, [], ['+353209143327'], '7 Weir Cottages, Marrowby', [], [], 'Wilf', 'Fennick'),
        ]);
        self::assertSame(['c2', 'c1'], array_map(static fn (Candidate $candidate): string => $candidate->client->id, $found));
    }

    public function testAHouseholdIsFoundWhereNobodyIsTheSame(): void
    {
        $found = Fixtures::candidates(
            self::readings(),
            [new KnownClient('c3', 'Wilf Fennick', 2021, [], ['+353209143327'], '7 Weir Cottages, Marrowby', [], [], 'Wilf', 'Fennick')],
        );
        self::assertSame(Verdict::Household, $found[0]->judgement->verdict);
        self::assertSame('same phone, address, family name', FieldWords::agreeing($found[0]->judgement));
    }

    public function testWhereTheirThingsStandTellsWhoTheyAre(): void
    {
        $stands = static fn (string $place, string $given = 'Wilf'): KnownClient => new KnownClient(
            'c2',
            "$given Fennick",
            2021,
            [],
            ['+353209143327'],
            '3 Chapel Bank, Dunmarl',
            [['id' => 'a1', 'description' => 'Grand', 'place' => '9 Mill Race, Saltfold'], ['id' => 'a2', 'description' => 'Upright', 'place' => $place]],
            [],
            $given,
            'Fennick',
        );
        $found = Fixtures::candidates(self::readings(['email' => 'other@example.org']), [$stands('7 Weir Cottages, Marrowby')]);
        self::assertSame('same phone, address, family name', FieldWords::agreeing($found[0]->judgement));
        self::assertSame('same phone, family name', FieldWords::agreeing(Fixtures::candidates(self::readings(['email' => 'other@example.org']), [$stands('')])[0]->judgement));
        // By the place alone they are found to be compared.
        $keys = new BlockingKeys(new ShortForms());
        self::assertContains('a:7|'.Fold::sound('weir'), $keys->of(Fixtures::people()->ofReadings(self::readings())));
        $person = Fixtures::people()->of('Wilf', 'Fennick', '', [], [], '', ['', '7 Weir Cottages, Marrowby']);
        self::assertContains('a:7|'.Fold::sound('weir'), $keys->of($person));
        self::assertContains('z:'.Fold::sound('fennick').'|marrowby', $keys->of($person));
        foreach (['stage' => false, 'Room' => false, '7 Weir Cottages' => true, 'Weir Cottages, Marrowby' => true] as $place => $tells) {
            $two = array_map(static fn (string $given): Person => Fixtures::people()->of($given, 'Fennick', '', [], [], '', [$place]), ['Wilf', 'Tess']);
            self::assertSame($tells, [] !== array_filter($two[0]->places(), static fn (Person $one): bool => $one->hasAddress()), $place);
            self::assertSame($tells, $two[0]->places()[0]->hasAddress() && $two[1]->places()[0]->hasAddress(), "two whose things stand in “{$place}”");
        }
        $fields = self::compare($stands('7 Weir Cottages, Marrowby', 'Orla'));
        self::assertSame(['7 Weir Cottages, Marrowby', true], [$fields[3]->there, $fields[3]->same]);
    }

    public function testStrangersAreNot(): void
    {
        self::assertSame(
            [],
            Fixtures::candidates(
                self::readings(),
                [new KnownClient('c3', 'Tess Quill', 2021, ['tess@example.org'], ['+353209171044'], '8 Weir Cottages, Marrowby', [], [], 'Tess', 'Quill')],
            ),
        );
    }

    public function testFieldsStandSideBySide(): void
    {
        $fields = self::compare(Fixtures::known(name: 'Orla FENNICK', phone: '+353209143372', address: '9 Mill Race, Saltfold'));
        self::assertSame([
            ['Name', true, 'same', 1], ['Email', true, 'same', 2], ['Phone', false, 'nearly', 3], ['Where it stands', false, 'differs', 6],
        ], array_map(static fn (ComparedField $field): array => [$field->field, $field->same, $field->verdict, $field->answer], $fields));
        self::assertSame(['+353 20 914 3327', '+353 20 914 3372'], [$fields[2]->here, $fields[2]->there]);
        self::assertGreaterThan(5, $fields[1]->weight);
        self::assertLessThan(0, $fields[3]->weight);
    }

    public function testWhatWasNotOnFileIsNew(): void
    {
        $client = new KnownClient('c1', 'Orla Fennick', 2023, ['orla@example.com'], [], '', [], [], 'Orla', 'Fennick');
        $fields = self::compare($client);
        self::assertSame(['none', 'new, added'], [$fields[2]->there, $fields[2]->verdict]);
        self::assertCount(3, $fields, 'no address on file, none to compare');
    }

    public function testNamesChangedAboutAndShortFormsAreSaid(): void
    {
        $words = static fn (string $given, string $family): string => self::compare(new KnownClient(
            'c1',
            "$given $family",
            2023,
            ['orla@example.com'],
            ['+353209143327'],
            '',
            [],
            [],
            $given,
            $family,
        ))[0]->verdict;
        self::assertSame('names swapped', $words('Fennick', 'Orla'));
        self::assertSame('by its initial', $words('O', 'Fennick'));
        self::assertSame('nearly', $words('Orla', 'Fenick'));
        self::assertSame('differs, kept as on file', $words('Orla', 'Ambry'));
    }

    /** @param array<string, mixed> $answers */
    private static function readings(array $answers = []): Readings
    {
        return Fixtures::reader()->read(Fixtures::form(), array_filter($answers + Fixtures::answers(), static fn (mixed $answer): bool => null !== $answer));
    }

    /** @return list<ComparedField> */
    private static function compare(KnownClient $client): array
    {
        $found = Fixtures::candidates(self::readings(), [$client]);
        self::assertCount(1, $found);

        return Fixtures::matcher()->compare(self::readings(), $found[0]);
    }
}
