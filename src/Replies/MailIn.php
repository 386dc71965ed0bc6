<?php

declare(strict_types=1);

namespace Telamon\Replies;

use League\Flysystem\FilesystemOperator;
use Psr\Clock\ClockInterface;
use Telamon\Core\Form\Destination;
use Telamon\Core\Replies\DeliveryReport;
use Telamon\Core\Replies\MachineMail;
use Telamon\Core\Replies\MailOrigin;
use Telamon\Core\Replies\ReplyStripper;
use Telamon\Messages\Incoming;
use Telamon\Messages\IncomingState;
use Telamon\Messages\Message;
use Telamon\Submissions\Arriving;

/**
 * Takes a mail in, once: a report of a mail server, a note of a machine, a reply, or an arrival. The whole of it is
 * kept as it came before anything else is done.
 */
final readonly class MailIn
{
    /** The most of a text that is shown; letters. */
    private const SHOWN = 60_000;

    public function __construct(private MailReader $reader, private Threads $threads, private ReplyTaking $taking, private MailFiles $mailFiles, private LetterArrivals $arrivals, private FilesystemOperator $files, private ClockInterface $clock)
    {
    }

    /** @param string $eml as it came (RFC 5322) */
    public function take(string $eml): Incoming
    {
        $mail = $this->reader->read($eml);
        $known = $this->taking->known($mail->messageId);
        if (null !== $known) {
            return $this->taking->again($known);
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
        $taken = $this->taking->keep($one, function () use ($one, $mail, $origin, $answers, $attachments): void {
            $client = $answers->client ?? $this->threads->client($mail->fromAddress);
            $one->belong($client->mergedInto ?? $client, $answers->project ?? null, $answers);
            match ($origin) {
                MailOrigin::Bounce => $this->bounced($one, $answers, $mail),
                MailOrigin::Person => $this->replied($one, $attachments),
                default => $one->beDone(IncomingState::Left, [MailOrigin::Away === $origin ? 'is away: nothing was answered, follow-ups go on' : 'machine mail: nothing was answered']),
            };
        });

        return $taken === $one ? $this->taking->settle($one) : $taken;
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
        $this->mailFiles->putWith($uploads, $one->client, $one->project);
        $this->taking->read($one);
    }

    /** @param list<string> $uploads */
    private function arrives(Incoming $one, ReceivedMail $mail, array $uploads): Incoming
    {
        $letter = trim(('' === $mail->subject ? '' : "{$mail->subject}\n\n").$one->said);
        $submission = $this->arrivals->receive([
            [Destination::ClientEmail, $mail->fromAddress],
            [Destination::ProjectNotes, $letter],
            [Destination::ClientName, '' === $mail->fromName ? $mail->fromAddress : $mail->fromName],
        ], $uploads, new Arriving('mail', $mail->messageId, asFound: true));

        return $this->taking->keep($one, function () use ($one, $mail, $submission): void {
            $one->belong($this->threads->client($mail->fromAddress), null, null);
            if (null !== $submission) {
                $one->arrivedAs($submission);
            }
        });
    }
}
