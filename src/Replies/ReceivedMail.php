<?php

declare(strict_types=1);

namespace Telamon\Replies;

/** A mail as it came, read. */
final readonly class ReceivedMail
{
    /**
     * @param string $messageId made of its bytes where it has none
     * @param list<string> $references Message-IDs that it answers, the nearest first
     * @param list<string> $to addresses that it was sent to
     * @param array<string, string> $headers by name in small letters
     * @param list<array{name: string, type: string, bytes: string, why: string}> $attachments with why one is not taken
     * @param string $report the part message/delivery-status; empty for none
     * @param string $reported Message-ID of the mail that the report is about; empty where it is not said
     */
    public function __construct(
        public string $messageId,
        public array $references,
        public string $fromAddress,
        public string $fromName,
        public array $to,
        public string $subject,
        public string $text,
        public array $headers,
        public array $attachments,
        public string $report,
        public string $reported,
    ) {
    }
}
