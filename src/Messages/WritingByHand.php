<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Messenger\MessageBusInterface;
use Symfony\Component\Messenger\Stamp\DelayStamp;
use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Projects\Project;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** A letter that somebody of the staff writes: it waits a moment so that it can be stopped, or until its time. */
final readonly class WritingByHand
{
    private const FURTHEST = '+1 year';

    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private MessageBusInterface $bus,
        private Ways $ways,
        private HandText $texts,
        private Profile $business,
        private ClockInterface $clock,
        #[Autowire(env: 'int:TELAMON_HOLD_SECONDS')] private int $holdSeconds,
    ) {
    }

    /**
     * @param string $id by which the same sending is known again
     * @param Incoming|null $answers what it answers
     * @param string|null $submissionId the arrival that it answers
     * @param \Closure(Message): void $also what else this is the end of, in the same change
     *
     * @throws Refusal
     */
    public function write(string $id, Edit $edit, ?Client $client, ?Project $project, ?Incoming $answers, ?string $submissionId, Staff $staff, \Closure $also): Message
    {
        $by = Channel::tryFrom($edit->text('channel', 5) ?? '') ?? Channel::Mail;
        ['text' => $text, 'html' => $html] = $this->texts->read($edit, $by);
        $way = $this->ways->of($by);
        $to = $way->address($edit->text('to', 300) ?? '');
        $way->refuseLong($text);
        $subject = $by->isLetter() ? self::subject($edit) : Message::begins($text);
        $leaves = $this->leavesAt($edit);
        $name = $client?->name() ?? $answers->fromName ?? '';

        return $this->changes->carryOut(Act::of(ChangeKind::Handle, "wrote to $name: “{$subject}”", $staff)->from($submissionId)->on(
            null === $client ? 'message' : 'client',
            $client->id ?? $id,
            '' === $name ? $to : $name,
        ), function () use ($id, $by, $to, $name, $subject, $text, $html, $client, $project, $submissionId, $answers, $leaves, $also): Message {
            $there = $this->em->find(Message::class, $id);
            if (null !== $there) {
                return [$there->toAddress, $there->subject, $there->text] === [$to, $subject, $text]
                    ? $there
                    : throw new WrittenBefore('This letter has been sent already, with other words. Send this one once more and it goes as a second letter.');
            }
            $business = $this->business->business();
            $message = new Message(
                'by-hand',
                $to,
                mb_substr($name, 0, 200),
                $business->email,
                $business->name,
                $subject,
                $text,
                '',
                $client,
                $project,
                $submissionId,
                $this->clock->now(),
                $id,
            );
            $message->say($subject, $text, $html);
            $message->hold('', $leaves);
            $message->goBy($by);
            if (null !== $answers) {
                $message->answer($answers->messageId);
            }
            $this->em->persist($message);
            $wait = $leaves->getTimestamp() - $this->clock->now()->getTimestamp();
            $this->bus->dispatch(new SendMessage($message->id), $wait > 0 ? [new DelayStamp(1000 * $wait)] : []);

            $also($message);

            return $message;
        });
    }

    /** @throws InvalidInput */
    private static function subject(Edit $edit): string
    {
        $subject = (string) preg_replace('/[\s\p{Cc}]+/u', ' ', $edit->text('subject', 200) ?? '');

        return '' === $subject ? throw new InvalidInput('subject', 'Write a subject.') : $subject;
    }

    /** @throws InvalidInput */
    private function leavesAt(Edit $edit): \DateTimeImmutable
    {
        $soon = $this->clock->now()->modify("+{$this->holdSeconds} seconds");
        $given = $edit->text('sendAt', 40) ?? '';
        if ('' === $given) {
            return $soon;
        }
        $at = \DateTimeImmutable::createFromFormat('!Y-m-d\TH:i', $given, $this->business->zone());
        if (false === $at || $at > $this->clock->now()->modify(self::FURTHEST)) {
            throw new InvalidInput('sendAt', 'Choose a day within a year, and a time.');
        }

        return $at < $soon ? throw new InvalidInput('sendAt', 'This time is over.') : $at;
    }
}
