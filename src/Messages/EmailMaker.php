<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Psr\Clock\ClockInterface;
use Symfony\Component\Mime\Address;
use Symfony\Component\Mime\Email;
use TijsVerkoyen\CssToInlineStyles\CssToInlineStyles;
use Twig\Environment;

/** Makes the mail that a message becomes: plain text and the same as a page. */
final readonly class EmailMaker
{
    public function __construct(private Environment $twig, private SignedAddresses $addresses, private Papers $papers, private LetterChain $chain, private ClockInterface $clock)
    {
    }

    public function make(Message $message): Email
    {
        $domain = substr($message->fromAddress, (int) strrpos($message->fromAddress, '@') + 1);
        $email = (new Email())
            ->from(new Address($message->fromAddress, $message->fromName))
            ->to(new Address($message->toAddress, $message->toName))
            ->subject($message->subject)
            // When it is handed over: one that waited is not older than it is (RFC 5322, section 3.6.1).
            ->date($message->sentAt ?? $this->clock->now())
            ->text($message->text)
            ->html($this->html($message));
        if ('' !== $message->calendar) {
            // RFC 6047: the method stands in the type too.
            $method = 1 === preg_match('/^METHOD:(\w+)/m', $message->calendar, $m) ? $m[1] : 'PUBLISH';
            $email->attach($message->calendar, 'visit.ics', "text/calendar; method=$method; charset=utf-8");
        }
        foreach ($message->papers as $one) {
            // What is not there any more was said before it was let go; the words go all the same.
            $paper = $this->papers->of($one, $message);
            if (null !== $paper) {
                $email->attach($paper['bytes'], $paper['name'], $paper['type']);
            }
        }
        foreach (array_unique(1 <= preg_match_all('/src="cid:([0-9a-f-]{36})"/', $message->html, $found) ? $found[1] : []) as $picture) {
            // Inside the mail, so that nothing is fetched from outside when it is read (RFC 2392).
            $paper = $this->papers->of($picture, $message);
            if (null !== $paper && str_starts_with($paper['type'], 'image/')) {
                $email->embed($paper['bytes'], $picture, $paper['type']);
            }
        }
        $headers = $email->getHeaders();
        $headers->addIdHeader('Message-ID', "{$message->id}@$domain");
        if ('by-hand' !== $message->kind) {
            // Says to mail programs that no person wrote this (RFC 3834).
            $headers->addTextHeader('Auto-Submitted', 'auto-generated');
        }
        if (Ground::Staff !== $message->ground) {
            $email->replyTo(new Address('' === $message->answersTo ? $this->addresses->replyTo($message) : $message->answersTo, $message->fromName));
        }
        if ('' !== $message->inReplyTo) {
            // RFC 5322, section 3.6.4.
            $headers->addIdHeader('In-Reply-To', $message->inReplyTo);
            $headers->addIdHeader('References', $this->chain->of($message));
        }
        if ($message->ground->canBeStopped()) {
            // RFC 2369: by mail, which is read as "stop", always; and, for one click, RFC 8058.
            $stop = $this->addresses->stopLink($message->toAddress);
            $headers->addTextHeader('List-Unsubscribe', ('' === $stop ? '' : "<$stop>, ")."<mailto:{$this->addresses->replyTo($message)}?subject=Stop&body=Stop>");
            if ('' !== $stop) {
                $headers->addTextHeader('List-Unsubscribe-Post', 'List-Unsubscribe=One-Click');
            }
        }

        return $email;
    }

    /** Styles stand at each element: mail programs drop the rest. */
    private function html(Message $message): string
    {
        $page = $this->twig->render(
            'message.html.twig',
            ['subject' => $message->subject, 'html' => $message->html, 'paragraphs' => '' === $message->html ? preg_split('/\n{2,}/', $message->text) : []],
        );

        return (new CssToInlineStyles())->convert($page, $this->twig->render('message.css.twig'));
    }
}
