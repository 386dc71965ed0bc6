<?php

declare(strict_types=1);

namespace Telamon\Replies;

use League\Flysystem\FilesystemOperator;
use Psr\Clock\ClockInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Telamon\Core\Form\Destination;
use Telamon\Core\Replies\DeliveryReport;
use Telamon\Core\Replies\MachineMail;
use Telamon\Core\Replies\MailOrigin;
use Telamon\Core\Replies\ReplyStripper;
use Telamon\Messages\Incoming;
use Telamon\Messages\IncomingState;
use Telamon\Messages\Message;
use Telamon\Messages\NotDelivered;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\NotThere;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;
use Telamon\Submissions\Arriving;

/**
 * Takes a mail in, once: a report of a mail server, a note of a machine, a reply, or an arrival. The whole of it is
 * kept as it came before anything else is done.
 */
final readonly class MailIn
{
    /** The most of a text that is shown; letters. */
    private const SHOWN = 60_000;
    private const GOES_ON = "\n\n[It goes on: the whole letter is under Messages.]";

    public function __construct(
        private MailReader $reader,
        private Threads $threads,
        private ReplyTaking $taking,
        private MailFiles $mailFiles,
        private LetterArrivals $arrivals,
        private Belief $belief,
        private EventDispatcherInterface $events,
        private FilesystemOperator $files,
        private ClockInterface $clock,
    ) {
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
        $one = new Incoming(
            'mail',
            $origin,
            $mail->messageId,
            $mail->fromAddress,
            $mail->fromName,
            $mail->subject,
            mb_substr($parts->said, 0, self::SHOWN),
            mb_substr($mail->text, 0, self::SHOWN),
            $this->clock->now(),
        );
        $this->files->write(self::path($one->id), $eml);
        [$attachments, $came] = $this->mailFiles->keep(MailOrigin::Person === $origin ? $mail->attachments : []);
        $answers = MailOrigin::Bounce === $origin ? $this->threads->byMessageId($mail->reported) : $this->threads->of($mail);
        $unsure = MailOrigin::Person === $origin && MachineMail::isUnsure($mail->headers);
        $one->came($came, hash('sha256', $eml), $this->belief->in($mail), $unsure);
        if (MailOrigin::Person === $origin && null === $answers && !$unsure) {
            return $this->arrives($one, $mail, $attachments);
        }
        $taken = $this->taking->keep($one, function () use ($one, $mail, $origin, $answers, $attachments): void {
            $client = $answers->client ?? $this->threads->client($mail->fromAddress);
            $one->belong($client->mergedInto ?? $client, $answers->project ?? null, $answers);
            match ($origin) {
                MailOrigin::Bounce => $this->bounced($one, $answers, $mail),
                MailOrigin::Person => $this->replied($one, $attachments),
                default => $one->beDone(
                    IncomingState::Left,
                    [MailOrigin::Away === $origin ? 'is away: nothing was answered, follow-ups go on' : 'machine mail: nothing was answered'],
                ),
            };
            if ($one->unsure) {
                $one->waitBecause('may come from a machine (a list, or an address that takes no answers): nothing was done by itself');
            } elseif (MailOrigin::Person === $origin && !$one->believed) {
                $one->waitBecause('nothing shows that it comes from whoever it says: nothing was done by itself');
            }
        });

        return $taken === $one ? $this->taking->settle($one) : $taken;
    }

    /**
     * Makes a letter an arrival, by hand: one that may come from a machine, or one that was taken for an answer.
     *
     * @throws Refusal where it is one already, or its bytes are gone
     */
    public function makeArrival(Incoming $one, Staff $by): void
    {
        $mail = $this->reader->read($this->raw($one) ?? throw new NotThere('letter'));
        [$attachments] = $this->mailFiles->keep($mail->attachments);
        $submission = '' === $one->submissionId ? $this->received($one, $mail, $attachments) : $one->submissionId;
        if (null === $submission) {
            throw new InvalidInput('', 'There is no form that could take a letter: one that asks for a mail address and has room for words.');
        }
        $this->taking->change($one, "made an arrival of {$one->recordLabel()}", $by, static fn () => $one->arrivedAs($submission));
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
            $this->events->dispatch(new NotDelivered($message));
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
        $submission = $this->received($one, $mail, $uploads);

        return $this->taking->keep($one, function () use ($one, $mail, $submission): void {
            $one->belong($this->threads->client($mail->fromAddress), null, null);
            if (null !== $submission) {
                $one->arrivedAs($submission);
            }
        });
    }

    /**
     * @param list<string> $uploads
     *
     * @return string|null id of the submission
     */
    private function received(Incoming $one, ReceivedMail $mail, array $uploads): ?string
    {
        $letter = trim(('' === $mail->subject ? '' : "{$mail->subject}\n\n").$one->said);
        if (mb_strlen($letter) > LetterArrivals::LONGEST) {
            // The end of it is not dropped unsaid.
            $letter = mb_substr($letter, 0, LetterArrivals::LONGEST - \strlen(self::GOES_ON)).self::GOES_ON;
        }

        return $this->arrivals->receive([
            [Destination::ClientEmail, $mail->fromAddress],
            [Destination::ProjectNotes, $letter],
            [Destination::ClientName, '' === $mail->fromName ? $mail->fromAddress : $mail->fromName],
        ], $uploads, new Arriving('mail', $mail->messageId, asFound: true));
    }
}
