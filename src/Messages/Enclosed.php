<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Telamon\Core\Replies\Asked;

/** What a template sends along beside its words, and how it goes. */
final readonly class Enclosed
{
    public const MOST = 10;

    /**
     * @param list<string> $papers ids of files, and names of what is made at sending (see EnclosesPapers)
     * @param string $answersTo address that answers go to; empty for the one by which they find their way back
     * @param string $consent name of the consent that it needs because it advertises; empty where it serves what was asked or ordered
     * @param bool $textFirst whether it goes as a text where the client has a number and it has words for one
     * @param Asked $asks what it asks of whoever reads it: only that is answered for sure
     */
    public function __construct(
        public array $papers = [],
        public string $answersTo = '',
        public string $consent = '',
        public bool $textFirst = false,
        public Asked $asks = Asked::Decision,
    ) {
    }

    /** @param array<array-key, mixed> $kept as toArray */
    public static function from(array $kept): self
    {
        $text = static fn (string $key): string => \is_string($kept[$key] ?? null) ? $kept[$key] : '';

        return new self(
            array_values(array_filter(\is_array($kept['papers'] ?? null) ? $kept['papers'] : [], is_string(...))),
            $text('answersTo'),
            $text('consent'),
            true === ($kept['textFirst'] ?? null),
            Asked::tryFrom($text('asks')) ?? Asked::Decision,
        );
    }

    /** @return list<string> ids of the files among them */
    public function files(): array
    {
        return array_values(array_filter($this->papers, static fn (string $paper): bool => 36 === \strlen($paper)));
    }

    /** @return array{papers: list<string>, answersTo: string, consent: string, textFirst: bool, asks: string} */
    public function toArray(): array
    {
        return ['papers' => $this->papers, 'answersTo' => $this->answersTo, 'consent' => $this->consent, 'textFirst' => $this->textFirst, 'asks' => $this->asks->value];
    }
}
