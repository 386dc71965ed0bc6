<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Form;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\KnownAsker;

/** What a form that goes to somebody who is known does not ask again. */
final class KnownAskerTest extends TestCase
{
    private const NAME = ['key' => 'name', 'type' => 'person-name', 'wording' => 'Name', 'destination' => 'client.name'];
    private const MAIL = ['key' => 'mail', 'type' => 'email', 'wording' => 'Mail', 'destination' => 'client.email'];
    private const WISH = ['key' => 'wish', 'type' => 'short-text', 'wording' => 'What?', 'destination' => 'project.notes'];

    /**
     * @param list<array<string, mixed>> $questions
     * @param array<string, string|array<string, string>> $known
     */
    #[DataProvider('forms')]
    public function testWhoTheyAreIsNotAskedAgain(array $questions, array $known): void
    {
        $form = FormDefinition::fromArray(['title' => 'A form', 'pages' => [['key' => 'p', 'title' => 'All', 'questions' => $questions]]]);
        self::assertSame($known, KnownAsker::answers($form, ['client.email' => 'orla@example.com', 'client.phone' => '+353209143327'], ['Orla', 'Fennick']));
    }

    /** @return iterable<string, array{list<array<string, mixed>>, array<string, string|array<string, string>>}> */
    public static function forms(): iterable
    {
        $mail = ['mail' => 'orla@example.com'];
        $both = ['name' => 'Orla Fennick'] + $mail;
        yield 'name and mail' => [[self::NAME, self::MAIL, self::WISH], $both];
        yield 'a name in two fields' => [[['type' => 'name-parts'] + self::NAME, self::WISH], ['name' => ['given' => 'Orla', 'family' => 'Fennick']]];
        yield 'nothing else that they are asked' => [[self::NAME, self::MAIL], []];
        yield 'nothing else but a heading' => [[self::NAME, ['key' => 'h', 'type' => 'section', 'wording' => 'You']], []];
        yield 'nothing else but what is hidden' => [[self::NAME, ['key' => 'h', 'type' => 'hidden', 'parameter' => 'from']], []];
        yield 'nothing else but what staff are asked' => [[self::NAME, ['staffOnly' => true] + self::WISH], []];
        yield 'their phone is asked all the same' => [[self::MAIL, ['key' => 'phone', 'type' => 'phone', 'wording' => 'Phone', 'destination' => 'client.phone'], self::WISH], $mail];
        yield 'what staff alone are asked' => [[['staffOnly' => true] + self::NAME, self::MAIL, self::WISH], $mail];
        yield 'asked only sometimes' => [[self::WISH, ['showIf' => ['question' => 'wish', 'op' => 'is-blank']] + self::NAME, self::MAIL], $mail];
        yield 'another hangs on it' => [[self::NAME, self::MAIL, ['showIf' => ['question' => 'name', 'op' => 'is-blank']] + self::WISH], $mail];
        yield 'another is needed because of it' => [[self::NAME, self::MAIL, ['requiredIf' => ['question' => 'mail', 'op' => 'is-blank']] + self::WISH], ['name' => 'Orla Fennick']];
    }

    public function testWhatIsNotOnFileIsAsked(): void
    {
        $form = FormDefinition::fromArray(['title' => 'A form', 'pages' => [['key' => 'p', 'title' => 'All', 'questions' => [self::NAME, self::MAIL, self::WISH]]]]);
        self::assertSame(['name' => 'Orla'], KnownAsker::answers($form, ['client.email' => ''], ['Orla', '']));
    }
}
