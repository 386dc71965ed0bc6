<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Telamon\Clients\Client;
use Telamon\Core\Reading\NameReader;
use Telamon\Messages\Incoming;
use Telamon\Messages\MessageTemplate;
use Telamon\Messages\Papers;
use Telamon\Messages\ProjectFields;
use Telamon\Messages\TemplateWriter;
use Telamon\Projects\Project;
use Telamon\Submissions\Submission;

/** A template as the beginning of a letter by hand: filled with what is known of its reader, and what nobody knows shown as a place to be written in. */
final readonly class TemplateByHand
{
    public function __construct(private TemplateWriter $writer, private ProjectFields $fields, private NameReader $names, private Papers $papers)
    {
    }

    /** @return array<string, mixed> as TemplateByHand in the contract */
    public function begin(MessageTemplate $template, ?Client $client, ?Project $project, ?Submission $submission, ?Incoming $answers): array
    {
        $name = $client?->name() ?? $submission->name ?? $answers->fromName ?? '';
        $values = $this->fields->of($client, $project, $submission->number ?? '');
        if (null === $client && '' !== $name) {
            $values = ['first_name' => $this->names->read($name)->given, 'client' => $name] + $values;
        }
        $text = $template->text();
        [$written, $places] = $this->writer->byHand($text, $values);

        return [
            'subject' => $written->subject, 'document' => $written->document->toArray(), 'text' => $written->text, 'textMessage' => $written->textMessage,
            'places' => $places,
            'papers' => array_map(fn (string $paper): array => ['paper' => $paper, 'name' => $this->papers->called($paper) ?? 'a file that was removed'], $text->enclosed->papers),
        ];
    }
}
