<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Doctrine\ORM\EntityManagerInterface;
use League\Flysystem\FilesystemOperator;
use Psr\Clock\ClockInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Telamon\Business\Profile;
use Telamon\Core\Replies\DeliveryReport;
use Telamon\Core\Replies\MachineMail;
use Telamon\Core\Replies\MailOrigin;
use Telamon\Core\Replies\Meaning;
use Telamon\Core\Replies\ReplyReader;
use Telamon\Core\Replies\ReplyStripper;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Messages\Incoming;
use Telamon\Messages\IncomingState;
use Telamon\Messages\Message;
use Telamon\Messages\ReplyCame;

/**
 * Takes a mail in, once: a report of a mail server, a note of a machine, a reply, or an arrival. The whole of it is
 * kept as it came before anything else is done.
 */
final readonly class MailIn
{
    /** The most of a text that is shown; letters. */
    private const SHOWN = 60_000;

    public function __construct(private EntityManagerInterface $em, private MailReader $reader, private Threads $threads, private ReplyReader $replies, private WhatFollows $follows, private MailFiles $mailFiles, private MailArrivals $arrivals, private FilesystemOperator $files, private Changes $changes, private EventDispatcherInterface $events, private Profile $business, private ClockInterface $clock)
    {
    }

    /** @param string $eml as it came (RFC 5322) */
    public function take(string $eml): Incoming
    {
        $mail = $this->reader->read($eml);
        $known = $this->em->getRepository(Incoming::class)->findOneBy(['messageId' => $mail->messageId]);
        if (null !== $known) {
            // Where the process ended after the reply was written, "stop" has still to be carried out.
            return Meaning::Stop === $known->says ? $this->readAlone($known) : $known;
        }
        $origin = MachineMail::origin($mail->headers);
        $parts = (new ReplyStripper())->part($mail->text);
        $one = new Incoming('mail', $origin, $mail->messageId, $mail->fromAddress, $mail->fromName, $mail->subject, mb_substr($parts->said, 0, self::SHOWN), mb_substr($mail->text, 0, self::SHOWN), $this->clock->now());
        $this->files->write(self::path($one->id), $eml);
        $attachments = MailOrigin::Person === $origin ? $this->mailFiles->keep($mail->attachments) : [];
        $answers = MailOrigin::Bounce === $origin ? $this->threads->byMessageId($mail->reported) : $this->threads->of($mail);
        if (MailOrigin::Person === $origin && null === $answers) {
            return $this->arrives($one, $mail, $attachments);
        }

        $taken = $this->changes->carryOut($this->change($one), function () use ($one, $mail, $origin, $answers, $attachments): Incoming {
            $known = $this->em->getRepository(Incoming::class)->findOneBy(['messageId' => $mail->messageId]);
            if (null !== $known) {
                return $known;
            }
            $client = $answers->client ?? $this->threads->client($mail->fromAddress);
            $one->belong($client->mergedInto ?? $client, $answers->project ?? null, $answers);
            $this->em->persist($one);
            match ($origin) {
                MailOrigin::Bounce => $this->bounced($one, $answers, $mail),
                MailOrigin::Person => $this->replied($one, $attachments),
                default => $one->beDone(IncomingState::Left, [MailOrigin::Away === $origin ? 'is away: nothing was answered, follow-ups go on' : 'machine mail: nothing was answered']),
            };

            return $one;
        });

        return $taken === $one ? $this->readAlone($one) : $taken;
    }

    /** The mail as it came; null where it is gone. */
    public function raw(Incoming $one): ?string
    {
        $path = self::path($one->id);

        return $this->files->fileExists($path) ? $this->files->read($path) : null;
    }

    private static function path(string $id): string
    {
        return "incoming/$id.eml";
    }

    private function bounced(Incoming $one, ?Message $message, ReceivedMail $mail): void
    {
        $report = DeliveryReport::read($mail->report);
        $failed = $report->failed ?? '' === $mail->report;
        $words = null === $report ? 'It came back.' : $report->words();
        if (null !== $message && $failed) {
            $message->fail(mb_substr("It came back: $words", 0, 500));
        }
        $one->beDone(null === $message && $failed ? IncomingState::Open : IncomingState::Done, [$failed ? "came back: $words" : "late: $words"]);
    }

    /** @param list<string> $uploads */
    private function replied(Incoming $one, array $uploads): void
    {
        $reading = $this->replies->read($one->whole);
        $one->read($reading);
        $this->mailFiles->putWith($uploads, $one->client, $one->project);
        $this->events->dispatch(new ReplyCame($one));
    }

    /** What is sure enough is done without a person, as a change of its own that can be taken back. Until then it waits where people look. */
    private function readAlone(Incoming $one): Incoming
    {
        if (MailOrigin::Person !== $one->origin || IncomingState::Open !== $one->state) {
            return $one;
        }
        if (Meaning::Stop === $one->says || (Meaning::Other !== $one->says && $one->confidence >= $this->business->business()->replyThreshold)) {
            $this->changes->carryOut(new Change(ChangeKind::Handle, mb_substr("read {$one->recordLabel()} as {$one->says->value}", 0, 300), null, $this->clock->now(), null, 'reply', $one->id, $one->recordLabel()), fn () => $this->follows->carryOut($one, $one->says));
        }

        return $one;
    }

    /** @param list<string> $uploads */
    private function arrives(Incoming $one, ReceivedMail $mail, array $uploads): Incoming
    {
        $submission = $this->arrivals->receive($mail, $one->said, $uploads);

        return $this->changes->carryOut($this->change($one), function () use ($one, $mail, $submission): Incoming {
            $known = $this->em->getRepository(Incoming::class)->findOneBy(['messageId' => $mail->messageId]);
            if (null !== $known) {
                return $known;
            }
            $one->belong($this->threads->client($mail->fromAddress), null, null);
            if (null !== $submission) {
                $one->arrivedAs($submission);
            }
            $this->em->persist($one);

            return $one;
        });
    }

    private function change(Incoming $one): Change
    {
        $label = $one->recordLabel();

        return new Change(ChangeKind::Receive, mb_substr("took in $label", 0, 300), null, $this->clock->now(), null, 'reply', $one->id, $label);
    }
}
