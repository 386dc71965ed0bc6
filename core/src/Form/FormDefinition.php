<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** A published form as data: what it asks, and how soon it promises an answer. */
final readonly class FormDefinition
{
    /**
     * @param list<array{when: string, what: string}> $steps what happens after sending, for the public page
     * @param list<Page> $pages
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
}
