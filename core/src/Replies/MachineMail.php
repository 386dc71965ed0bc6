<?php

declare(strict_types=1);

namespace Telamon\Core\Replies;

/**
 * Tells mail of machines from mail of people by its headers: Auto-Submitted (RFC 3834, section 5), reports (RFC 3462,
 * RFC 3464), the empty return path (RFC 5321, section 4.5.5), List-Id (RFC 2919). Precedence, X-Auto-Response-Suppress,
 * X-Autoreply and the words of subjects are common practice, from memory.
 */
final class MachineMail
{
    private const AWAY = '/\b(out of (the )?office|automatic reply|auto(matic)? ?response|autoreply|auto:|on (annual )?leave|vacation (reply|notice)|away from (my|the) (desk|office)|abwesenheit\w*|automatische antwort|nicht im (b.ro|haus)|r.ponse automatique|absence (du bureau|de bureau)?|message d.absence)/iu';
    private const FAILED = '/^(undeliver|delivery (status|failure|incomplete)|mail delivery|returned mail|failure notice|message not delivered|unzustellbar|non remis)/iu';

    /**
     * @param array<string, string> $headers by name in small letters
     */
    public static function origin(array $headers): MailOrigin
    {
        $is = static fn (string $name, string $pattern): bool => 1 === preg_match($pattern, $headers[$name] ?? '');
        $from = strtolower($headers['from'] ?? '');
        if ($is('content-type', '#multipart/report#i') && $is('content-type', '#report-type="?delivery-status#i')) {
            return MailOrigin::Bounce;
        }
        if (1 === preg_match('/(mailer-daemon|postmaster)@/', $from) && $is('subject', self::FAILED)) {
            return MailOrigin::Bounce;
        }
        $auto = strtolower(trim(explode(';', $headers['auto-submitted'] ?? 'no')[0]));
        $away = $is('subject', self::AWAY);
        if ('auto-replied' === $auto || isset($headers['x-autoreply']) || isset($headers['x-autorespond']) || $is('precedence', '/auto_?reply/i')) {
            return MailOrigin::Away;
        }
        $machine = ('' !== $auto && 'no' !== $auto) || '<>' === trim($headers['return-path'] ?? '') || 1 === preg_match('/\b(mailer-daemon|postmaster)@/', $from);

        return match (true) {
            $machine && $away => MailOrigin::Away,
            $machine => MailOrigin::Machine,
            // A subject alone tells of an absence only where it begins with it: people write "Re: out of office hours" too.
            $away
                && 1 === preg_match(
                    '/^(out of (the )?office|automatic reply|autoreply|auto:|abwesenheit|automatische antwort|r.ponse automatique|absence)/iu',
                    trim($headers['subject'] ?? ''),
                ) => MailOrigin::Away,
            default => MailOrigin::Person,
        };
    }

    /**
     * Whether it may come from a machine: through a list, in bulk, from an address that takes no answers. People write so
     * too (through the list of a club, from an office's program), so it is shown and nothing is done by itself.
     *
     * @param array<string, string> $headers by name in small letters
     */
    public static function isUnsure(array $headers): bool
    {
        $is = static fn (string $name, string $pattern): bool => 1 === preg_match($pattern, $headers[$name] ?? '');

        return isset($headers['list-id'])
            || isset($headers['x-auto-response-suppress'])
            || $is('precedence', '/^(bulk|junk|list)$/i')
            || 1 === preg_match('/\b(no-?reply|do-?not-?reply)@/', strtolower($headers['from'] ?? ''));
    }
}
