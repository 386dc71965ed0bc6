<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Email;
use Twig\Environment;

/** Makes the mail that a message becomes: plain text and the same as a page. */
final readonly class EmailMaker
{
    public function __construct(private Environment $twig)
    {
    }

    public function make(Message $message): Email
    {
        $domain = substr($message->fromAddress, (int) strrpos($message->fromAddress, '@') + 1);
        $email = (new Email())
            ->from(new Address($message->fromAddress, $message->fromName))
            ->to(new Address($message->toAddress, $message->toName))
            ->subject($message->subject)
            ->date($message->sentAt ?? $message->queuedAt)
            ->text($message->text)
            ->html($this->twig->render('message.html.twig', ['subject' => $message->subject, 'paragraphs' => preg_split('/\n{2,}/', $message->text)]));
        if ('' !== $message->calendar) {
            // RFC 6047: the method stands in the type too.
            $method = 1 === preg_match('/^METHOD:(\w+)/m', $message->calendar, $m) ? $m[1] : 'PUBLISH';
            $email->attach($message->calendar, 'visit.ics', "text/calendar; method=$method; charset=utf-8");
        }
        $email->getHeaders()->addIdHeader('Message-ID', "{$message->id}@$domain");
        // Says to mail programs that no person wrote this (RFC 3834).
        $email->getHeaders()->addTextHeader('Auto-Submitted', 'auto-generated');

        return $email;
    }
}
