<?php

declare(strict_types=1);

namespace Telamon\Tests\Forms;

use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Telamon\Core\Condition\Operator;
use Telamon\Core\Form\Kinds;
use Telamon\Tests\Support\AppTestCase;

/** The published JSON Schema of form files, beside what the application writes and takes in. */
final class FileFormatTest extends AppTestCase
{
    public function testWhatIsSavedFitsTheSchema(): void
    {
        $this->signIn();
        foreach (['inquiry', 'short-inquiry', 'booking', 'intake', 'feedback', 'visit-report'] as $starter) {
            $form = $this->post('/api/forms', ['title' => $starter, 'starter' => $starter])->ok(201);
            self::assertTrue(self::fits($this->get('/api/forms/'.$form->text('id').'/export')->ok()->body), $starter);
        }
        foreach ($this->get('/api/forms')->ok()->column('items', 'id') as $id) {
            self::assertIsString($id);
            self::assertTrue(self::fits($this->get("/api/forms/$id/export")->ok()->body));
        }
    }

    public function testTheSchemaKnowsEveryKindAndOperator(): void
    {
        /** @var array{'$defs': array{question: array{properties: array{type: array{enum: list<string>}}}, condition: array{oneOf: list<array{properties: array{op?: array{enum: list<string>}}}>}}} $schema */
        $schema = json_decode((string) file_get_contents(self::path()), true, 32, \JSON_THROW_ON_ERROR);
        self::assertSame(array_keys(Kinds::all()), $schema['$defs']['question']['properties']['type']['enum']);
        self::assertSame(array_column(Operator::cases(), 'value'), $schema['$defs']['condition']['oneOf'][3]['properties']['op']['enum'] ?? null);
    }

    #[DataProvider('wrong')]
    public function testTheSchemaRefusesWhatTheApplicationRefuses(string $question): void
    {
        $file = '{"format": "telamon-form", "version": 1, "definition": {"pages": [{"questions": ['.$question.']}]}}';
        self::assertFalse(self::fits($file));
        $this->signIn();
        $this->post('/api/forms/import', ['file' => json_decode($file, true)])->ok(422);
    }

    /** @return iterable<string, array{string}> */
    public static function wrong(): iterable
    {
        yield 'no key' => ['{"type": "day"}'];
        yield 'a key in capitals' => ['{"key": "Day", "type": "day"}'];
        yield 'no such kind' => ['{"key": "a", "type": "song"}'];
        yield 'no such place' => ['{"key": "a", "type": "day", "destination": "moon"}'];
        yield 'an operator that is none' => ['{"key": "a", "type": "day"}, {"key": "b", "type": "day", "showIf": {"question": "a", "op": "smells"}}'];
        yield 'points that are none' => ['{"key": "a", "type": "day", "points": {"part": "luck", "steps": []}}'];
        yield 'other words that are none' => ['{"key": "a", "type": "one-of", "options": [{"value": "x", "also": "y"}]}'];
        yield 'a wording that is none' => ['{"key": "a", "type": "day", "wording": 7}'];
    }

    private static function fits(string $file): bool
    {
        $schema = json_decode((string) file_get_contents(self::path()), false, 32, \JSON_THROW_ON_ERROR);
        self::assertIsObject($schema);

        return (new Validator())->validate(json_decode($file, false, 32, \JSON_THROW_ON_ERROR), $schema)->isValid();
    }

    private static function path(): string
    {
        return \dirname(__DIR__, 2).'/public/form.schema.json';
    }
}
