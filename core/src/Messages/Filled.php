<?php

declare(strict_types=1);

namespace Telamon\Core\Messages;

/** A message with its fields filled and its conditions answered: the same as text and as HTML, and what could not be filled. */
final readonly class Filled
{
    /**
     * @param MessageDocument $document the same without fields and conditions, to be written on by hand
     * @param string $html a fragment: paragraphs, lists, links; all values escaped
     * @param list<string> $gaps fields that nothing fills, in the order of their places
     * @param list<string> $pictures ids of the files that the HTML shows as cid:ID
     */
    public function __construct(public MessageDocument $document, public string $text, public string $html, public array $gaps, public array $pictures)
    {
    }
}
