<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Messages;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Messages\DocumentWriter;
use Telamon\Core\Messages\FromMustache;
use Telamon\Core\Text\TemplateRenderer;

/** A converted text says what Mustache (an open specification, read by the library mustache/mustache) makes of it. */
final class FromMustacheTest extends TestCase
{
    /** @return array<string, array{string}> */
    public static function texts(): array
    {
        return [
            'plain' => ["Hello {{first_name}},\n\nthank you.\n\n{{lead}}\n{{business}}, {{phone}}"],
            'a section of its own lines' => ["What: {{visit}}\nWhen: {{when}}{{#here}}\n(our time: {{here}}){{/here}}{{#place}}\nWhere: {{place}}{{/place}}\nWith: {{with}}"],
            'a section of its own paragraph' => ["Hello.{{#link}}\n\nMove it here: {{link}}{{/link}}\n\nBye."],
            'marks on their own lines' => ["Hello.\n{{#link}}\n\nHere: {{link}}\n{{/link}}\n\nBye.\n{{#here}}\nHere\n{{/here}}"],
            'a section in a sentence' => ['{{project}}{{#asset}}, {{asset}}{{/asset}}.'],
            'the other way round' => ['{{#here}}Here{{/here}}{{^here}}Not here{{/here}}.'],
            'one in another' => ['A{{#place}} B{{#link}} C{{/link}} D{{/place}} E'],
        ];
    }

    #[DataProvider('texts')]
    public function testItSaysTheSame(string $text): void
    {
        $mustache = new TemplateRenderer();
        $document = FromMustache::document($text);
        $fields = $mustache->fieldsOf($text);
        for ($which = 0; $which < 2 ** \count($fields); ++$which) {
            $values = [];
            foreach ($fields as $at => $field) {
                $values[$field] = 0 === ($which >> $at & 1) ? '' : "<$field>";
            }
            // Commas and white space around what is empty are closed up in documents: ClosedUpTest.
            $tidy = static fn (string $of): string => \in_array('', $values, true) ? trim((string) preg_replace('/[\s,]+/u', ' ', $of)) : trim(
                (string) preg_replace(['/[ \t]+\n/', '/\n{3,}/'], ["\n", "\n\n"], $of),
            );

            self::assertSame($tidy($mustache->body($text, $values)), $tidy((new DocumentWriter())->fill($document, $values)->text), json_encode($values, \JSON_THROW_ON_ERROR));
        }
    }

    public function testASubjectKeepsItsWords(): void
    {
        self::assertSame('{{project|}}, {{asset|}}', FromMustache::line('{{project}}{{#asset}}, {{asset}}{{/asset}}'));
    }
}
