<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Telamon\Core\Messages\DocumentReader;
use Telamon\Core\Messages\DocumentWriter;
use Telamon\Core\Messages\InvalidDocument;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;

/** What somebody wrote by hand: plain, or with headings, lists, links and the pictures of a template. */
final readonly class HandText
{
    private const LONGEST = 20_000;

    public function __construct(private Papers $papers)
    {
    }

    /**
     * @return array{text: string, html: string} html empty where it was written plainly
     *
     * @throws InvalidInput
     */
    public function read(Edit $edit, Channel $by): array
    {
        $given = $by->isLetter() ? $edit->any('document') : null;
        $written = null === $given ? ['text' => $edit->text('text', self::LONGEST) ?? '', 'html' => ''] : $this->document($given);

        if ('' === trim($written['text'])) {
            throw new InvalidInput('text', 'Write something here.');
        }
        $fromTemplate = '' !== ($edit->text('template', 36) ?? '');
        foreach ($fromTemplate ? ['subject' => $edit->text('subject', 200) ?? '', 'text' => $written['text']] : [] as $field => $said) {
            $place = FieldWords::openPlace($said);
            if (null !== $place) {
                throw new InvalidInput($field, "Nobody has written what stands at $place. Write it, or take its sentence out.");
            }
        }

        return $written;
    }

    /**
     * @return array{text: string, html: string}
     *
     * @throws InvalidInput
     */
    private function document(mixed $given): array
    {
        try {
            $document = (new DocumentReader())->read($given);
        } catch (InvalidDocument $error) {
            throw new InvalidInput('text', $error->getMessage());
        }
        if ([] !== $document->fields()) {
            throw new InvalidInput('text', 'There is still a field in it. Write what stands there.');
        }
        $filled = (new DocumentWriter())->fill($document, []);
        foreach ($filled->pictures as $picture) {
            // Only what a template may show: nobody gets another client's papers.
            if (!$this->papers->isForAnybody($picture)) {
                throw new InvalidInput('text', 'A picture is not there any more. Take it out.');
            }
        }

        return mb_strlen($filled->text) > self::LONGEST
            ? throw new InvalidInput('text', 'Shorten this to '.self::LONGEST.' characters.')
            : ['text' => $filled->text, 'html' => $filled->html];
    }
}
