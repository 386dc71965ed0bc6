<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Telamon\Business\Profile;
use Telamon\Record\RecordRef;
use Telamon\Record\Records;

/** Shows messages as the contract has them. */
final readonly class MessageView
{
    public function __construct(private Records $records, private Profile $business, private Papers $papers)
    {
    }

    /** @return array<string, mixed> as MessageRow */
    public function row(Message $message): array
    {
        $zone = $this->business->zone();

        return [
            'id' => $message->id,
            'direction' => 'out',
            'channel' => $message->channel->value,
            'kind' => $message->kind,
            'to' => $message->toAddress,
            'toName' => $message->toName,
            'subject' => $message->subject,
            'state' => $message->state->value,
            'queuedAt' => $message->queuedAt->setTimezone($zone)->format(\DATE_RFC3339),
            'leavesAt' => MessageState::Queued === $message->state ? $message->leavesAt?->setTimezone($zone)->format(\DATE_RFC3339) : null,
            'sentAt' => $message->sentAt?->setTimezone($zone)->format(\DATE_RFC3339),
            'client' => RecordRef::maybe($message->client),
        ];
    }

    /** @return array<string, mixed> as Message */
    public function whole(Message $message): array
    {
        return $this->row($message) + [
            'from' => "{$message->fromName} <{$message->fromAddress}>",
            'text' => $message->text,
            'html' => $message->html,
            'failure' => $message->failure,
            'gaps' => array_map(FieldWords::of(...), MessageState::Held === $message->state ? $message->lacks['gaps'] ?? [] : []),
            'template' => $message->template,
            'papers' => array_map(
                fn (string $paper): array => ['name' => $this->papers->called($paper) ?? 'a file that was removed', 'file' => 36 === \strlen($paper) ? $paper : null],
                $message->papers,
            ),
            'answersTo' => $message->answersTo,
            'ground' => $message->ground->words().('' === $message->consent ? '' : ": “{$message->consent}”"),
            'project' => RecordRef::maybe($message->project),
            'submission' => $this->records->find('submission', $message->submissionId),
            'canDownload' => $message->channel->isLetter(),
        ];
    }
}
