<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Planning;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Effects\FieldChange;
use Telamon\Core\Form\Reading;
use Telamon\Core\Plan\Comparison;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Tests\Fixtures;

final class FieldChangeTest extends TestCase
{
    /**
     * The table of a three-way merge (S. Khanna, K. Kunal, B. C. Pierce, "A Formal Investigation of Diff3", 2007; from
     * memory): whoever left the base alone gives way; both changed otherwise is a conflict.
     *
     * @param list<string> $file
     */
    #[DataProvider('cases')]
    public function testWhoChangedIt(?string $sent, string $returned, array $file, Comparison $expected): void
    {
        self::assertSame($expected, Comparison::of($sent, $returned, $file));
    }

    /** @return iterable<string, array{string|null, string, list<string>, Comparison}> */
    public static function cases(): iterable
    {
        yield 'nothing on file' => [null, 'b', [], Comparison::Fills];
        yield 'nothing on file any more' => ['a', 'b', [], Comparison::Fills];
        yield 'nobody changed it' => ['a', 'a', ['a'], Comparison::Same];
        yield 'they did' => ['a', 'b', ['a'], Comparison::ChangedByThem];
        yield 'we did' => ['a', 'a', ['c'], Comparison::ChangedByUs];
        yield 'both did, alike' => ['a', 'b', ['b'], Comparison::Same];
        yield 'both did, otherwise' => ['a', 'b', ['c'], Comparison::ChangedByBoth];
        yield 'nobody can tell' => [null, 'b', ['a'], Comparison::Differs];
        yield 'one of several on file' => [null, 'b', ['a', 'b'], Comparison::Same];
        yield 'they changed one of several' => ['a', 'c', ['b', 'a'], Comparison::ChangedByThem];
    }

    public function testWhatDiffersIsKeptUnlessSheSaysOtherwise(): void
    {
        self::assertSame(['Phone stays 1; they wrote 2', null, 'keep', 'on file already'], self::told(null, '2', ['1']));
        self::assertSame(['Phone: 2 instead of 1', ['replace', '1'], 'replace', 'your choice'], self::told(null, '2', ['1'], 'replace'));
        self::assertSame(['Phone: 2 beside 1', ['add', ''], 'both', 'your choice'], self::told(null, '2', ['1'], 'both'));
    }

    public function testWhatTheyChangedReplacesWhatWasSentOut(): void
    {
        self::assertSame(['Phone: 3 instead of 2', ['replace', '2'], 'replace', 'changed by them'], self::told('2', '3', ['1', '2']));
        self::assertSame(['Phone stays 4; they wrote 2', null, 'keep', 'changed here meanwhile'], self::told('2', '2', ['4']));
    }

    public function testWhatBothChangedIsAsked(): void
    {
        $line = self::line('2', '3', ['4']);
        self::assertTrue($line->isOpen());
        self::assertNull($line->effect);
        self::assertSame(['1', '2', '3'], array_column($line->choice->options ?? [], 'hotkey'));
        self::assertSame(['Phone: 3 instead of 4', ['replace', '4'], 'replace', 'your choice'], self::told('2', '3', ['4'], 'replace'));
    }

    public function testWhatIsTheSameOrNewAsksNothing(): void
    {
        self::assertNull(self::line(null, ' Quarry  Hall', ['quarry hall'])->effect);
        self::assertSame('add', Fixtures::value(self::line(null, '2', [''])->effect, 'mode'));
        self::assertNull(self::line(null, '2', [])->choice);
    }

    public function testAnAddressWithARemarkIsTheSame(): void
    {
        $place = Fixtures::form()->question('place');
        self::assertNotNull($place);
        $line = static fn (string $file): PlanLine => (new FieldChange('a', 'asset', 'place', mayBeLonger: true))->line(
            new Reading($place, '4 Mill Race, Saltfold', ''),
            '4 Mill Race, Saltfold',
            null,
            [$file],
            [],
            Fixtures::input()->telling,
        );
        self::assertNull($line('4 Mill Race, Saltfold. Three steps up.')->choice, 'the remark stays');
        self::assertNotNull($line('4 Mill Race, Saltfolding')->choice);
    }

    /**
     * @param list<string> $file
     *
     * @return array{string, list<string>|null, string|null, string} sentence, mode and old value, choice, reason
     */
    private static function told(?string $sent, string $value, array $file, ?string $decided = null): array
    {
        $line = self::line($sent, $value, $file, $decided);
        $effect = $line->effect;

        return [
            implode('', array_map(static fn (Part $part): string => $part->text, $line->said->parts)),
            null === $effect ? null : [Fixtures::text($effect, 'mode'), Fixtures::text($effect, 'old')],
            $line->choice?->chosen,
            $line->said->reason,
        ];
    }

    /** @param list<string> $file */
    private static function line(?string $sent, string $value, array $file, ?string $decided = null): PlanLine
    {
        $question = Fixtures::form()->question('phone');
        self::assertNotNull($question);

        return (new FieldChange('field.phone', 'client', 'phone', true))->line(
            new Reading($question, $value, $value),
            $value,
            $sent,
            $file,
            null === $decided ? [] : ['field.phone' => $decided],
            Fixtures::input()->telling,
        );
    }
}
