<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Telamon\Business\Profile;
use Telamon\Messages\SignedAddresses;

/**
 * Whether a letter is known to come from whoever it says. Anybody can write any sender; so it is believed only where it
 * was sent to the address that was signed into one of our letters, or names the id of one (both known only to whoever
 * has that letter), or where the own mail server says that it has checked (Authentication-Results, RFC 8601).
 */
final readonly class Belief
{
    public function __construct(private SignedAddresses $addresses, private Threads $threads, private Profile $business)
    {
    }

    public function in(ReceivedMail $mail): bool
    {
        foreach ($mail->to as $address) {
            if (null !== $this->addresses->messageOf($address)) {
                return true;
            }
        }
        foreach ($mail->references as $reference) {
            if (null !== $this->threads->byMessageId($reference)) {
                return true;
            }
        }

        return $this->isChecked($mail->headers['authentication-results'] ?? '', $mail->fromAddress);
    }

    /** @param string $results the topmost header: those below may have been written by anybody */
    private function isChecked(string $results, string $from): bool
    {
        $server = $this->business->business()->mailServer;
        $domain = preg_quote(substr($from, (int) strrpos($from, '@') + 1), '/');
        // What is quoted, or a comment, may be the sender's own words.
        $parts = array_map(trim(...), explode(';', strtolower((string) preg_replace('/"(?:[^"\\\\]|\\\\.)*"|\((?:[^()\\\\]|\\\\.)*\)/s', '', $results))));

        return '' !== $server
            && '' !== $domain
            && strtolower($server) === explode(' ', $parts[0])[0]
            && [] !== array_filter(
                \array_slice($parts, 1),
                static fn (string $one): bool => 1 === preg_match("/^dmarc=pass\\b.*header\.from=$domain(\\s|$)/", $one) || 1 === preg_match("/^dkim=pass\\b.*header\.(d|i)=@?$domain(\\s|$)/", $one),
            );
    }
}
