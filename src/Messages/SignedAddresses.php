<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Telamon\Clients\ContactPoint;
use Telamon\Http\SignedText;

/**
 * Addresses that say what they belong to, signed: where replies go (with a detail after "+", RFC 5233), and where one
 * stops messages.
 */
final readonly class SignedAddresses
{
    /** Letters before the "@" at the most: RFC 5321, section 4.5.3.1.1. */
    private const LONGEST = 64;
    private const REPLY = 'reply';
    private const STOP = 'stop';
    private const CONFIRM = 'confirm';
    private const CONFIRM_SECONDS = 14 * 86_400;

    public function __construct(private SignedText $signed, #[Autowire(env: 'TELAMON_URL')] private string $address)
    {
    }

    public function replyTo(Message $message): string
    {
        [$local, $domain] = explode('@', $message->fromAddress, 2) + ['', ''];
        $id = str_replace('-', '', $message->id);
        $signed = "$local+r-$id-".$this->signed->short(self::REPLY, $id);

        return \strlen($signed) <= self::LONGEST ? "$signed@$domain" : $message->fromAddress;
    }

    /** @return string|null id of the message that an address belongs to; null where it is none of ours */
    public function messageOf(string $address): ?string
    {
        if (1 !== preg_match('/\+r-([0-9a-f]{32})-([0-9a-f]{16})@/i', $address, $m)) {
            return null;
        }
        $id = strtolower($m[1]);

        return $this->signed->isShort(self::REPLY, $id, strtolower($m[2]))
            ? implode('-', [substr($id, 0, 8), substr($id, 8, 4), substr($id, 12, 4), substr($id, 16, 4), substr($id, 20)])
            : null;
    }

    /** @return string empty while nobody has said under which address Telamon is reached */
    public function stopLink(string $recipient): string
    {
        if ('' === $this->address) {
            return '';
        }
        $token = rtrim(strtr(base64_encode(mb_strtolower($recipient)), '+/', '-_'), '=');

        return rtrim($this->address, '/')."/stop/$token.".$this->signed->short(self::STOP, $token);
    }

    /** @return string|null the recipient; null where the link is none of ours */
    public function recipientOf(string $link): ?string
    {
        [$token, $mark] = explode('.', $link, 2) + ['', ''];
        $recipient = base64_decode(strtr($token, '-_', '+/'), true);

        return false !== $recipient && $this->signed->isShort(self::STOP, $token, $mark) ? $recipient : null;
    }

    /** By which somebody says that an address on file is theirs; it ends with the address. Empty while nobody has said under which address Telamon is reached. */
    public function confirmLink(ContactPoint $point): string
    {
        return '' === $this->address ? '' : rtrim($this->address, '/').'/confirm/'.$this->signed->sign(self::CONFIRM, self::claim($point), self::CONFIRM_SECONDS);
    }

    /** @return string|null id of the contact point; null where the link is none of ours, or over */
    public function confirmed(string $link): ?string
    {
        $claim = $this->signed->read(self::CONFIRM, $link);

        return null === $claim ? null : substr($claim, 0, 36);
    }

    /** Whether a link is about the address as it stands now. */
    public function isAbout(string $link, ContactPoint $point): bool
    {
        return $this->signed->read(self::CONFIRM, $link) === self::claim($point);
    }

    private static function claim(ContactPoint $point): string
    {
        return "{$point->id}-".substr(hash('sha256', mb_strtolower($point->value)), 0, 16);
    }
}
