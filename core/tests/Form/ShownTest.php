<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Form;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Answers\AnswerCheck;
use Telamon\Core\Form\Checks;
use Telamon\Core\Form\EndingKind;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\InvalidDefinition;
use Telamon\Core\Form\Kinds;
use Telamon\Core\Form\Kinds\Lines;
use Telamon\Core\Form\Kinds\Signature;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\Readers;
use Telamon\Core\Form\Violation;
use Telamon\Core\Reading\EmailReader;
use Telamon\Core\Reading\PhoneReader;
use Telamon\Core\Text\Pattern;
use Telamon\Core\Time\AnsweredDays;

/** Conditions, checks and endings of forms. */
final class ShownTest extends TestCase
{
    private const TODAY = '2026-11-25';

    public function testAQuestionIsShownOnlyWhenItsConditionHolds(): void
    {
        $form = self::form(['key' => 'a', 'type' => 'yes-no'], ['key' => 'b', 'type' => 'short-text', 'showIf' => ['question' => 'a', 'op' => 'is', 'value' => 'yes']]);
        self::assertSame(['a'], self::keys($form->shown([], self::TODAY)));
        self::assertSame(['a'], self::keys($form->shown(['a' => 'no', 'b' => 'left over'], self::TODAY)));
        self::assertSame(['a', 'b'], self::keys($form->shown(['a' => 'yes'], self::TODAY)));
    }

    public function testAnAnswerToAQuestionThatIsNotShownCountsForNothing(): void
    {
        $form = self::form(
            ['key' => 'a', 'type' => 'yes-no'],
            ['key' => 'b', 'type' => 'yes-no', 'showIf' => ['question' => 'a', 'op' => 'is', 'value' => 'yes']],
            ['key' => 'c', 'type' => 'short-text', 'showIf' => ['question' => 'b', 'op' => 'is', 'value' => 'yes']],
        );
        self::assertSame(['a'], self::keys($form->shown(['a' => 'no', 'b' => 'yes', 'c' => 'x'], self::TODAY)));
    }

    public function testStaffAreAskedMore(): void
    {
        $form = self::form(['key' => 'a', 'type' => 'short-text'], ['key' => 's', 'type' => 'short-text', 'staffOnly' => true]);
        self::assertSame(['a'], self::keys($form->shown([], self::TODAY)));
        self::assertSame(['a', 's'], self::keys($form->shown([], self::TODAY, true)));
        self::assertSame(['s'], self::faults($form, ['s' => 'from outside']));
        self::assertSame([], self::faults($form, ['s' => 'from staff'], true));
    }

    public function testWhatIsNotShownIsNotNeeded(): void
    {
        $form = self::form(
            ['key' => 'a', 'type' => 'yes-no'],
            ['key' => 'b', 'type' => 'short-text', 'required' => true, 'showIf' => ['question' => 'a', 'op' => 'is', 'value' => 'yes']],
        );
        self::assertSame([], self::faults($form, ['a' => 'no']));
        self::assertSame(['b'], self::faults($form, ['a' => 'yes']));
    }

    public function testNeededWhenAConditionHolds(): void
    {
        $form = self::form(['key' => 'a', 'type' => 'yes-no'], ['key' => 'b', 'type' => 'short-text', 'requiredIf' => ['question' => 'a', 'op' => 'is', 'value' => 'yes']]);
        self::assertSame([], self::faults($form, ['a' => 'no']));
        self::assertSame(['b'], self::faults($form, ['a' => 'yes']));
    }

    /** @param array<string, mixed> $question */
    #[DataProvider('answers')]
    public function testAnswersByKind(array $question, mixed $answer, bool $fits): void
    {
        self::assertSame($fits ? [] : ['q'], self::faults(self::form(['key' => 'q'] + $question), ['q' => $answer]));
    }

    /** @return iterable<string, array{array<string, mixed>, mixed, bool}> */
    public static function answers(): iterable
    {
        $options = [['value' => 'x', 'label' => 'X'], ['value' => 'y', 'label' => 'Y']];
        foreach ([
            [['type' => 'number'], '12.5', true], [['type' => 'number'], '-3', true], [['type' => 'number'], 'twelve', false], [['type' => 'number'], '1,5', true],
            [['type' => 'number', 'min' => '1', 'max' => '10'], '10', true], [['type' => 'number', 'min' => '1', 'max' => '10'], '10.01', false],
            [['type' => 'number', 'min' => '1'], '0.99', false],
            [['type' => 'money'], '€ 120.00', true], [['type' => 'money'], '120', true], [['type' => 'money'], 'a lot', false],
            [['type' => 'time'], '09:30', true], [['type' => 'time'], '24:00', false], [['type' => 'time'], '9.30', false],
            [['type' => 'yes-no'], 'yes', true], [['type' => 'yes-no'], 'maybe', false],
            [['type' => 'scale'], '0', true], [['type' => 'scale'], '10', true], [['type' => 'scale'], '11', false], [['type' => 'scale'], '7.5', false],
            [['type' => 'rating'], '5', true], [['type' => 'rating'], '0', false],
            [['type' => 'consent'], 'yes', true], [['type' => 'consent'], 'ok', false], [['type' => 'consent', 'required' => true], '', false],
            [['type' => 'any-of', 'options' => $options], ['x', 'y'], true], [['type' => 'any-of', 'options' => $options], ['z'], false],
            [['type' => 'any-of', 'options' => $options], 'x', false], [['type' => 'any-of', 'options' => $options, 'required' => true], [], false],
            [['type' => 'organisation'], 'Lantern Hall', true], [['type' => 'organisation'], '---', false],
            [['type' => 'short-text', 'pattern' => '[A-Z]{2}\d{4}', 'message' => 'Like AB1234.'], 'AB1234', true],
            [['type' => 'short-text', 'pattern' => '[A-Z]{2}\d{4}', 'message' => 'Like AB1234.'], 'AB12345', false],
            [['type' => 'day', 'min' => 'today+3'], '2026-11-28', true], [['type' => 'day', 'min' => 'today+3'], '2026-11-27', false],
            [['type' => 'day', 'max' => '2026-12-31'], '2026-12-31', true], [['type' => 'day', 'max' => '2026-12-31'], '2027-01-01', false],
            [['type' => 'day', 'min' => 'today-30'], '2026-11-01', true],
            [['type' => 'statement'], 'an answer', false],
        ] as $i => [$question, $answer, $fits]) {
            yield "$i {$question['type']}" => [$question, $answer, $fits];
        }
    }

    public function testAPatternThatNeverEndsEnds(): void
    {
        // Without a limit this would take more steps than there are atoms.
        self::assertTrue(Pattern::fits('(a|aa)+', str_repeat('a', 400).'!'), 'nobody is locked out by a pattern that takes too long');
        self::assertFalse(Pattern::fits('(a|aa)+', 'aa!'));
    }

    public function testBoundsOnDays(): void
    {
        $today = new \DateTimeImmutable(self::TODAY);
        self::assertSame(
            ['2026-11-25', '2026-12-02', '2026-11-20', '2027-01-01', null, null],
            array_map(static fn (string $bound): ?string => Checks::day($bound, $today), ['today', 'today+7', 'today-5', '2027-01-01', '', 'soon']),
        );
    }

    public function testTheFirstEndingThatHoldsCounts(): void
    {
        $form = FormDefinition::fromArray(['pages' => [['key' => 'p', 'questions' => [['key' => 'a', 'type' => 'yes-no']]]], 'endings' => [
            ['kind' => 'form', 'text' => 'long-form', 'when' => ['question' => 'a', 'op' => 'is', 'value' => 'yes']],
            ['kind' => 'thanks', 'text' => 'No is fine too.'],
        ]]);
        self::assertSame(EndingKind::Form, $form->ending(['a' => 'yes'], self::TODAY)?->kind);
        self::assertSame('No is fine too.', $form->ending(['a' => 'no'], self::TODAY)?->text);
        self::assertNull(self::form(['key' => 'a', 'type' => 'yes-no'])->ending([], self::TODAY));
        $away = FormDefinition::fromArray(['pages' => [['key' => 'p', 'questions' => [['key' => 'a', 'type' => 'yes-no']]]], 'endings' => [
            ['kind' => 'form', 'text' => 'long-form', 'sendsAway' => true],
            ['kind' => 'thanks', 'text' => 'Not ours.', 'sendsAway' => true],
            ['kind' => 'thanks', 'text' => 'Ours.'],
        ]]);
        self::assertSame([false, true, false], array_column($away->endings, 'sendsAway'), 'thanks alone send away');
    }

    /** @param array<string, mixed> $definition */
    #[DataProvider('wrong')]
    public function testWhatCannotBeIsRefusedByPlace(array $definition, string $words): void
    {
        $this->expectException(InvalidDefinition::class);
        $this->expectExceptionMessage($words);
        FormDefinition::fromArray($definition);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        $form = static fn (array ...$questions): array => ['pages' => [['key' => 'p', 'questions' => $questions]]];
        $text = ['key' => 'b', 'type' => 'short-text'];
        yield 'a condition on itself' => [$form($text + ['showIf' => ['question' => 'b', 'op' => 'is-blank']]), '“b”, which does not come before it'];
        yield 'a condition on a later question' => [
            $form(['key' => 'a', 'type' => 'short-text', 'showIf' => ['question' => 'b', 'op' => 'is-blank']], $text),
            '“b”, which does not come before it',
        ];
        yield 'a condition on nothing' => [$form($text + ['requiredIf' => ['question' => 'gone', 'op' => 'is-blank']]), '“gone”, which does not come before it'];
        yield 'a condition that is none' => [$form($text + ['showIf' => 'always']), 'question 1: showIf is no condition'];
        yield 'a broken condition' => [$form($text + ['showIf' => ['all' => 1]]), 'question 1: “all” and “any” need a list'];
        yield 'a destination that does not fit' => [$form(['key' => 'a', 'type' => 'email', 'destination' => 'client.phone']), 'cannot go to “client.phone”'];
        yield 'a pattern that cannot be read' => [$form($text + ['pattern' => '([', 'message' => 'x']), 'the pattern cannot be read'];
        yield 'a pattern without words' => [$form($text + ['pattern' => 'a+']), 'needs a message'];
        yield 'an address that is not secure' => [$form($text) + ['endings' => [['kind' => 'address', 'text' => 'http://example.com']]], 'begins with https://'];
        yield 'a script for an address' => [$form($text) + ['endings' => [['kind' => 'address', 'text' => 'javascript:alert(1)']]], 'begins with https://'];
        yield 'an ending of no kind' => [$form($text) + ['endings' => [['kind' => 'party']]], 'ending 1: its kind is not known'];
        yield 'an ending that asks about nothing' => [$form($text) + ['endings' => [['kind' => 'thanks', 'when' => ['question' => 'z', 'op' => 'is-blank']]]], '“z”'];
    }

    public function testEveryKindOfAnswerHasSomewhereToGo(): void
    {
        foreach (Kinds::all() as $type) {
            // A signature stays with the submission, and a table sends its columns on.
            $stays = !$type->asks() || $type instanceof Signature || $type instanceof Lines;
            self::assertSame($stays, [] === $type->destinations(), $type::name());
            self::assertGreaterThan(0, $type->longest());
        }
    }

    /** @param array<string, mixed> ...$questions */
    private static function form(array ...$questions): FormDefinition
    {
        return FormDefinition::fromArray(['pages' => [['key' => 'p', 'questions' => $questions]]]);
    }

    /**
     * @param list<Question> $questions
     *
     * @return list<string>
     */
    private static function keys(array $questions): array
    {
        return array_map(static fn (Question $question): string => $question->key, $questions);
    }

    /**
     * @param array<string, mixed> $answers
     *
     * @return list<string>
     */
    private static function faults(FormDefinition $form, array $answers, bool $staff = false): array
    {
        $check = new AnswerCheck(new Readers(new EmailReader(), new PhoneReader('IE'), new AnsweredDays()));

        return array_map(static fn (Violation $violation): string => $violation->path, $check->check($form, $answers, new \DateTimeImmutable(self::TODAY), $staff));
    }
}
