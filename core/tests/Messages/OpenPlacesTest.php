<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Messages;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Messages\DocumentReader;
use Telamon\Core\Messages\DocumentWriter;
use Telamon\Core\Messages\FieldLine;
use Telamon\Core\Messages\OpenPlaces;

/** What nobody knows is a place to be written in, and never an empty one. */
final class OpenPlacesTest extends TestCase
{
    private static function places(): OpenPlaces
    {
        return new OpenPlaces(['first_name' => 'Anna', 'asset' => ' '], static fn (string $name): string => '['.str_replace('_', ' ', $name).']');
    }

    /** @return array<string, array{string, string, list<string>}> */
    public static function lines(): array
    {
        return [
            'known' => ['Hello {{first_name}}', 'Hello Anna', []],
            'not known' => ['About {{asset}}', 'About [asset]', ['[asset]']],
            'nothing wanted there' => ['About {{asset|}}', 'About [asset]', ['[asset]']],
            'other words wanted there' => ['About {{asset|your piano}}', 'About your piano', []],
            'twice, with room' => ['{{ asset }} and {{ready_by}}, {{asset}}', '[asset] and [ready by], [asset]', ['[asset]', '[ready by]']],
            'no field' => ['{ {x} }', '{ {x} }', []],
        ];
    }

    /** @param list<string> $places */
    #[DataProvider('lines')]
    public function testALine(string $line, string $filled, array $places): void
    {
        $open = self::places();
        self::assertSame($filled, (new FieldLine($open->line($line)))->filled(['first_name' => 'Anna']));
        self::assertSame($places, $open->places());
    }

    public function testADocumentWithWhatItsConditionsHide(): void
    {
        $field = static fn (string $name, ?string $or, mixed ...$marks): array => ['type' => 'field', 'attrs' => ['field' => $name, 'or' => $or], 'marks' => $marks];
        $only = static fn (string $name, bool $empty): array => ['type' => 'only', 'attrs' => ['field' => $name, 'empty' => $empty]];
        $item = ['type' => 'listItem', 'content' => [['type' => 'paragraph', 'content' => [$field('ready_by', '')]]]];
        $document = (new DocumentReader())->read(['type' => 'doc', 'content' => [
            [
                'type' => 'paragraph',
                'content' => [$field('first_name', null), ['type' => 'text', 'text' => ' '], $field('asset', 'it'), $field('place', null, $only('asset', false))],
            ],
            ['type' => 'paragraph', 'content' => [$field('when', null, $only('asset', true))]],
            ['type' => 'bulletList', 'content' => [$item]],
            ['type' => 'horizontalRule'],
        ]]);
        $open = self::places();
        $filled = (new DocumentWriter())->fill($open->document($document), ['first_name' => 'Anna']);
        self::assertSame("Anna it\n\n[when]\n\n- [ready by]\n\n----", $filled->text);
        self::assertSame([], $filled->gaps);
        self::assertSame(['[when]', '[ready by]'], $open->places(), 'what is hidden is not asked for');
    }
}
