<?php

declare(strict_types=1);

namespace Telamon\Core\Replies;

/** What a mail server says became of a mail: the part message/delivery-status of RFC 3464, read for one recipient. */
final readonly class DeliveryReport
{
    /**
     * @param string $status as RFC 3463 numbers it, such as 5.1.1; empty where it is not said
     * @param string $recipient their address
     * @param string $says the other server's own words
     */
    private function __construct(public bool $failed, public string $status, public string $recipient, public string $says)
    {
    }

    public static function read(string $part): ?self
    {
        $fields = [];
        // A line that begins with a blank goes on with the one before (RFC 5322, section 2.2.3).
        foreach (explode("\n", (string) preg_replace('/\r?\n[ \t]+/', ' ', $part)) as $line) {
            if (1 === preg_match('/^([A-Za-z-]+):\s*(.*?)\s*$/', $line, $m)) {
                $fields[strtolower($m[1])] ??= $m[2];
            }
        }
        $action = strtolower($fields['action'] ?? '');
        if ('' === $action) {
            return null;
        }
        $after = static fn (string $value): string => trim(explode(';', $value, 2)[1] ?? $value);

        return new self(
            'failed' === $action,
            $fields['status'] ?? '',
            $after($fields['final-recipient'] ?? $fields['original-recipient'] ?? ''),
            mb_substr($after($fields['diagnostic-code'] ?? ''), 0, 300),
        );
    }

    /** In words, for whoever has to do something about it. RFC 3463, section 3. */
    public function words(): string
    {
        $why = match (true) {
            str_starts_with($this->status, '5.1') => 'There is no such address.',
            str_starts_with($this->status, '5.2.2'), str_starts_with($this->status, '4.2.2') => 'Their mailbox is full.',
            str_starts_with($this->status, '5.2') => 'Their mailbox takes no mail.',
            str_starts_with($this->status, '5.3.4'), str_starts_with($this->status, '5.2.3') => 'The mail is too large for them.',
            str_starts_with($this->status, '5.4') => 'Their mail server cannot be reached.',
            str_starts_with($this->status, '5.7') => 'Their mail server refuses it.',
            default => 'It could not be delivered.',
        };

        return trim("$why ".('' === $this->says ? $this->status : "“{$this->says}”"));
    }
}
