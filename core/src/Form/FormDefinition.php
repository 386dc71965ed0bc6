<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

use Telamon\Core\Condition\Facts;
use Telamon\Core\Time\DayOrder;

/** A published form as data: what it asks, and how soon it promises an answer. */
final readonly class FormDefinition
{
    /**
     * @param list<array{when: string, what: string}> $steps what happens after sending, for the public page
     * @param list<Page> $pages
     * @param list<Ending> $endings the first that holds counts
     * @param bool $checkPage whether all answers are shown once more before sending
     * @param bool $copy whether whoever fills it in gets their answers by mail at once
     * @param Purpose|null $purpose what its submissions do; null where nobody has said: they open projects then
     * @param string $tell id of whom of the staff is mailed as soon as it is sent; empty for nobody
     * @param int $promiseMinutes working minutes until a person answers
     */
    public function __construct(
        public string $title,
        public string $intro,
        public string $privacy,
        public string $thanks,
        public array $steps,
        public array $pages,
        public int $promiseMinutes,
        public DayOrder $dayOrder,
        public array $endings = [],
        public bool $checkPage = false,
        public bool $copy = false,
        public ?Purpose $purpose = null,
        public string $tell = '',
    ) {
    }

    /**
     * @param array<mixed> $data the definition as stored
     *
     * @throws InvalidDefinition when a part is missing, of the wrong kind, or a question key stands twice
     */
    public static function fromArray(array $data): self
    {
        return (new DefinitionReader())->read($data);
    }

    /** @return list<Question> in the order asked */
    public function questions(): array
    {
        return array_merge(...array_map(static fn (Page $page): array => $page->questions, $this->pages));
    }

    public function question(string $key): ?Question
    {
        foreach ($this->questions() as $question) {
            if ($question->key === $key) {
                return $question;
            }
        }

        return null;
    }

    /** The first question whose answer goes to this field. */
    public function questionFor(Destination $destination): ?Question
    {
        foreach ($this->questions() as $question) {
            if ($question->destination === $destination) {
                return $question;
            }
        }

        return null;
    }

    /**
     * The questions that are asked, given the answers: a condition never sees the answer to a question that
     * is not shown itself.
     *
     * @param array<array-key, mixed> $answers
     * @param bool $staff whether staff fill it in, who are asked more
     *
     * @return list<Question> in the order asked
     */
    public function shown(array $answers, string $today, bool $staff = false): array
    {
        $shown = [];
        $seen = [];
        foreach ($this->questions() as $question) {
            if (($question->staffOnly && !$staff) || false === $question->showIf?->holds(new Facts($seen, $today, $this->dayOrder))) {
                continue;
            }
            $shown[] = $question;
            $seen[$question->key] = $question->type->meant($question, $answers[$question->key] ?? null);
        }

        return $shown;
    }

    /**
     * The answers with choices by their values and amounts in plain figures, however they were written, for rules that
     * ask about them. What is shown does not rest on amounts read so: the browser decides that too, and knows figures only.
     *
     * @param array<array-key, mixed> $answers
     *
     * @return array<array-key, mixed>
     */
    public function understood(array $answers): array
    {
        foreach ($this->questions() as $question) {
            if (isset($answers[$question->key])) {
                $answers[$question->key] = $question->type->understood($question, $answers[$question->key]);
            }
        }

        return $answers;
    }

    /**
     * @param array<array-key, mixed> $answers of the questions shown
     *
     * @return Ending|null null for the form's own thanks
     */
    public function ending(array $answers, string $today): ?Ending
    {
        foreach ($this->endings as $ending) {
            if (false !== $ending->when?->holds(new Facts($this->understood($answers), $today, $this->dayOrder))) {
                return $ending;
            }
        }

        return null;
    }
}
