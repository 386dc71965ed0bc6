<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Messages;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Messages\ClosedUp;

final class ClosedUpTest extends TestCase
{
    /** @param list<string> $parts an empty one is a field that nothing fills */
    #[DataProvider('lines')]
    public function testALineReadsAsIfNothingHadStoodThere(array $parts, string $read): void
    {
        $line = array_map(static fn (string $part): array => "\n" === $part ? ['type' => 'hardBreak'] : ['type' => 'text', 'text' => $part, 'marks' => []], $parts);
        $closed = ClosedUp::of($line);
        self::assertSame($read, implode('', array_map(static fn (array $node): string => 'text' === $node['type'] && \is_string($node['text']) ? $node['text'] : "\n", $closed)));
        self::assertNotContains('', array_column($closed, 'text'), 'no node says nothing');
    }

    /** @return iterable<string, array{list<string>, string}> */
    public static function lines(): iterable
    {
        yield 'between commas' => [['It stands at 3 Mill Row, ', '', ', on the first floor.'], 'It stands at 3 Mill Row, on the first floor.'];
        yield 'before the full stop' => [['We come to you, ', '', '. Bye'], 'We come to you. Bye'];
        yield 'two in a row' => [['A, ', '', ', ', '', ', b'], 'A, b'];
        yield 'between words' => [['Dear ', '', ' Ambry'], 'Dear Ambry'];
        yield 'after the greeting' => [['Dear ', '', ','], 'Dear,'];
        yield 'at the beginning' => [['', ', we come'], 'we come'];
        yield 'at the end' => [['We come on ', ''], 'We come on'];
        yield 'at the end of a line' => [['Place, ', '', "\n", 'Time'], "Place\nTime"];
        yield 'another language' => [['Søren, ', '', ', hej'], 'Søren, hej'];
        yield 'nothing is empty' => [['A, ', 'b', ', , c  d .'], 'A, b, , c  d .'];
        yield 'all of it' => [['', ''], ''];
        yield 'a word before it' => [['piano', '', 's'], 'pianos'];
    }
}
