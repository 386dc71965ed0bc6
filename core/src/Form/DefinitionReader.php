<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

use Telamon\Core\Time\DayOrder;

/** Reads a form definition from its stored array. */
final class DefinitionReader
{
    private QuestionReader $questions;

    /**
     * @param array<mixed> $data
     *
     * @throws InvalidDefinition
     */
    public function read(array $data): FormDefinition
    {
        $this->questions = new QuestionReader();
        $pages = [];
        foreach (Plain::rows($data, 'pages') as $page) {
            $pages[] = $this->page($page);
        }
        if ([] === array_filter($pages, static fn (Page $page): bool => [] !== $page->questions)) {
            throw new InvalidDefinition('pages: a form needs at least one question');
        }
        $steps = [];
        foreach (Plain::rows($data, 'steps') as $step) {
            $steps[] = ['when' => Plain::text($step, 'when'), 'what' => Plain::text($step, 'what')];
        }

        return new FormDefinition(
            Plain::text($data, 'title'),
            Plain::text($data, 'intro'),
            Plain::text($data, 'privacy'),
            Plain::text($data, 'thanks'),
            $steps,
            $pages,
            Plain::whole($data, 'promiseMinutes', 120),
            DayOrder::tryFrom(Plain::text($data, 'dayOrder')) ?? DayOrder::Unstated,
            $this->endings($data),
            true === ($data['checkPage'] ?? false),
            true === ($data['copy'] ?? false),
            Purpose::tryFrom(Plain::text($data, 'purpose')),
            Plain::text($data, 'tell'),
        );
    }

    /**
     * @param array<mixed> $data
     *
     * @return list<Ending>
     */
    private function endings(array $data): array
    {
        $endings = [];
        foreach (Plain::rows($data, 'endings') as $i => $ending) {
            $at = 'ending '.($i + 1);
            $kind = EndingKind::tryFrom(Plain::text($ending, 'kind')) ?? throw new InvalidDefinition("$at: its kind is not known");
            $text = Plain::text($ending, 'text');
            if (EndingKind::Address === $kind && 1 !== preg_match('#^https://[^\s"<>]+$#', $text)) {
                throw new InvalidDefinition("$at: another address begins with https://");
            }
            if (EndingKind::Form === $kind && 1 !== preg_match('/^[a-z0-9][a-z0-9-]{0,60}$/', $text)) {
                throw new InvalidDefinition("$at: it names the ending of another form's address");
            }
            if (EndingKind::Booking === $kind && 1 !== preg_match('#^[a-z0-9][a-z0-9-]{0,59}(/[a-z0-9-]{0,60}){0,1}(/\d{0,4}){0,1}(/[\p{L}]{0,3}){0,1}$#u', $text)) {
                throw new InvalidDefinition("$at: it names the ending of a booking page");
            }
            $when = isset($ending['when']) && \is_array($ending['when']) ? $this->questions->condition($ending['when'], '', $at) : null;
            $endings[] = new Ending($kind, $text, $when, EndingKind::Thanks === $kind && true === ($ending['sendsAway'] ?? false));
        }

        return $endings;
    }

    /** @param array<mixed> $data */
    private function page(array $data): Page
    {
        $questions = [];
        foreach (Plain::rows($data, 'questions') as $question) {
            $questions[] = $this->questions->read($question);
        }

        return new Page(Plain::text($data, 'key'), Plain::text($data, 'title'), Plain::text($data, 'next'), $questions);
    }
}
