<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Form;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Intl\Countries;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\Kinds\Country;
use Telamon\Core\Tests\Fixtures;

/** Codes of ISO 3166-1, names of the Unicode CLDR. */
final class CountryTest extends TestCase
{
    #[DataProvider('written')]
    public function testACountryIsReadHoweverItIsWritten(string $answer, string $code, string $name): void
    {
        $form = FormDefinition::fromArray(['pages' => [[
            'key' => 'p',
            'questions' => [['key' => 'q', 'type' => 'country', 'wording' => 'Where?', 'destination' => 'project.notes']],
        ]]]);
        $reading = Fixtures::reader()->read($form, ['q' => $answer])->all[0];
        self::assertSame([$name, $code], [$reading->text, $reading->string()]);
        self::assertSame([$code], $reading->question->type->counted($reading->question, $answer));
        self::assertSame($code, $reading->question->type->meant($reading->question, $answer), 'what conditions ask about');
    }

    /** @return iterable<string, array{string, string, string}> as in the tables of ISO 3166-1 */
    public static function written(): iterable
    {
        yield 'two letters' => ['IE', 'IE', 'Ireland'];
        yield 'three letters' => ['IRL', 'IE', 'Ireland'];
        yield 'small letters' => ['nl', 'NL', 'Netherlands'];
        yield 'the name' => ['Ireland', 'IE', 'Ireland'];
        yield 'the name without its signs' => ['cote d\'ivoire', 'CI', 'Côte d’Ivoire'];
    }

    public function testEveryCodeHasAName(): void
    {
        // ISO 3166-1 has 249 officially assigned codes (ISO 3166 Maintenance Agency, from memory).
        self::assertCount(249, Countries::getCountryCodes());
        self::assertSame('country', Country::name());
    }
}
