<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Telamon\Core\Messages\MessageDocument;

/** A template with its fields filled. */
final readonly class Written
{
    /**
     * @param MessageDocument $document without fields and conditions
     * @param string $html a fragment; see Core\Messages\Filled
     * @param string $textMessage empty where the template has none
     * @param list<string> $gaps fields of the letter that nothing fills
     * @param list<string> $textGaps the same of the text message
     * @param list<string> $pictures ids of files
     */
    public function __construct(
        public string $subject,
        public MessageDocument $document,
        public string $text,
        public string $html,
        public string $textMessage,
        public array $gaps,
        public array $textGaps,
        public array $pictures,
    ) {
    }

    /** @return list<string> what nothing fills of what goes this way */
    public function gapsOf(Channel $by): array
    {
        return $by->isLetter() ? $this->gaps : $this->textGaps;
    }
}
