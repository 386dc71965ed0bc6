<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Symfony\Component\Mailer\Exception\TransportExceptionInterface;
use Symfony\Component\Notifier\Exception\TransportExceptionInterface as TextNotTaken;
use Symfony\Contracts\HttpClient\Exception\TransportExceptionInterface as NotReached;

/** Whether a no to a message is one for good: what may be taken later is tried again. */
final class ForGood
{
    /**
     * Of a gateway for texts: the request itself is wrong, as a number that does not exist (RFC 9110, section 15.5: 400,
     * 404, 410, 422). A wrong key or an empty account is about us, and passes when somebody mends that.
     */
    private const TEXT = [400, 404, 410, 422];

    public static function is(\Throwable $error): bool
    {
        if ($error instanceof TextNotTaken) {
            return \in_array(self::status($error), self::TEXT, true);
        }

        return $error instanceof TransportExceptionInterface ? self::isOfMail($error) : 550 === $error->getCode();
    }

    /** A permanent no (RFC 5321, section 4.2.1) to this letter or its reader. One to the greeting or the password is about the server, and passes when somebody mends that. */
    private static function isOfMail(TransportExceptionInterface $error): bool
    {
        $last = 1 <= preg_match_all('/^\[[^\]]*\] > (\S+)/m', $error->getDebug(), $said) ? strtoupper((string) end($said[1])) : '';

        return $error->getCode() >= 500
            && $error->getCode() < 600
            && !\in_array($last, ['EHLO', 'HELO', 'AUTH', 'STARTTLS', ''], true)
            && 1 !== preg_match('/^[A-Z0-9+\/=]{8,}$/i', \in_array($last, ['MAIL', 'RCPT', 'DATA', '.'], true) ? '' : $last);
    }

    private static function status(TextNotTaken $error): int
    {
        try {
            return $error instanceof \Symfony\Component\Notifier\Exception\TransportException ? $error->getResponse()->getStatusCode() : 0;
        } catch (NotReached) {
            return 0;
        }
    }
}
