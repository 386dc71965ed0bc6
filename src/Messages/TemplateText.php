<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Telamon\Core\Messages\MessageDocument;

/** What a template says: one mail, and the same as a text message. */
final readonly class TemplateText
{
    public function __construct(
        public string $name,
        public string $subject,
        public MessageDocument $document,
        public string $textMessage,
        public Enclosed $enclosed = new Enclosed(),
    ) {
    }

    /** @return array{name: string, subject: string, document: array<string, mixed>, textMessage: string, papers: list<string>, answersTo: string, consent: string, textFirst: bool, asks: string} */
    public function toArray(): array
    {
        return ['name' => $this->name, 'subject' => $this->subject, 'document' => $this->document->toArray(), 'textMessage' => $this->textMessage] + $this->enclosed->toArray();
    }
}
