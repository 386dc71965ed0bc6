<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;
use Symfony\Component\Messenger\MessageBusInterface;
use Symfony\Component\Messenger\Stamp\DelayStamp;
use Telamon\Business\Profile;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;

/**
 * Sends a message once. It is claimed in one transaction, sent, and marked as sent in another. A worker that
 * dies in between leaves it claimed; whoever takes it up again asks whether it was delivered before doing
 * anything, and where nobody can tell, a person decides.
 */
#[AsMessageHandler]
final readonly class SendMessageHandler
{
    /** Seconds after which a message that was one too many is looked at again. */
    private const AGAIN = 300;
    private const SOON = 3;

    public function __construct(
        private EntityManagerInterface $em,
        private Ways $ways,
        private Changes $changes,
        private ClockInterface $clock,
        private MessageBusInterface $bus,
        private Profile $business,
        private Lacking $lacking,
        private Stops $stops,
        private EventDispatcherInterface $events,
    ) {
    }

    public function __invoke(SendMessage $command): void
    {
        $message = $this->em->find(Message::class, $command->messageId);
        if (null === $message) {
            return;
        }
        if ($message->ground->canBeStopped() && MessageState::Queued === $message->state && ($this->tooMany() || $this->stops->isPerhapsAsked($message))) {
            // Nobody waits for it: it is looked at again in a while.
            $this->bus->dispatch(new SendMessage($message->id), [new DelayStamp(1000 * self::AGAIN)]);

            return;
        }
        if (MessageState::Queued === $message->state && $message->awaitsPaper()) {
            // What goes with it is being drawn.
            $this->bus->dispatch(new SendMessage($message->id), [new DelayStamp(1000 * self::SOON)]);

            return;
        }
        if (MessageState::Queued === $message->state && !$this->lacking->isAllowed($message)) {
            // They have changed their mind since it was queued.
            $this->mark($message, MessageState::Held, (new NotAllowed($message))->getMessage());

            return;
        }
        $claimed = $this->em->getConnection()->executeStatement(
            'UPDATE message SET state = :sending WHERE id = :id AND state = :queued',
            ['sending' => MessageState::Sending->value, 'queued' => MessageState::Queued->value, 'id' => $message->id],
        );
        $this->em->refresh($message);
        if (0 === $claimed) {
            if (MessageState::Sending === $message->state) {
                $this->takeUp($message);
            }

            return;
        }
        $this->send($message);
    }

    /** Whether as many unasked messages left in the last hour as may. */
    private function tooMany(): bool
    {
        $most = $this->business->business()->mailsAnHour;
        if (0 === $most) {
            return false;
        }
        $sent = $this->em->getConnection()->fetchOne(
            'SELECT COUNT(*) FROM message WHERE state = ? AND ground IN (?, ?) AND sent_at > ?',
            [
                MessageState::Sent->value,
                Ground::Inquiry->value,
                Ground::Consent->value,
                $this->clock->now()->modify('-1 hour')->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s'),
            ],
        );

        return is_numeric($sent) && (int) $sent >= $most;
    }

    private function takeUp(Message $message): void
    {
        $delivered = $this->ways->of($message->channel)->wasDelivered($message);
        if (null === $delivered) {
            $this->mark($message, MessageState::Failed, 'The sending was interrupted, and the mail server cannot say whether it went out. Ask before sending it again.');
        } elseif ($delivered) {
            $this->mark($message, MessageState::Sent);
        } else {
            $this->send($message);
        }
    }

    private function send(Message $message): void
    {
        try {
            $then = $this->ways->of($message->channel)->carry($message);
        } catch (TransportExceptionInterface|\RuntimeException $error) {
            if ($error instanceof TransportExceptionInterface && self::hungUp($error)) {
                $this->mark(
                    $message,
                    MessageState::Failed,
                    'The mail server took it and hung up without an answer: nobody can say whether it went out. Ask before sending it again.',
                );

                return;
            }
            $this->failed($message, $error);

            return;
        }
        $this->mark($message, $then);
    }

    /** What will not be taken is told at once; what may be taken later is tried for two days. */
    private function failed(Message $message, \Throwable $error): void
    {
        $why = mb_scrub(mb_substr($error->getMessage(), 0, 500));
        if (ForGood::is($error)) {
            $this->mark($message, MessageState::Failed, $why);

            return;
        }
        $now = $this->clock->now();
        $since = $message->failingSince ?? $now;
        $next = RetryTimes::next($message->tries + 1, $since, $now);
        if (null === $next) {
            $this->mark($message, MessageState::Failed, $why);

            return;
        }
        $this->em->wrapInTransaction(function () use ($message, $why, $since, $next): void {
            // Each try would be a line of the journal: only what comes of it in the end is told there.
            $this->em->getConnection()->executeStatement(
                'UPDATE message SET state = ?, failure = ?, tries = tries + 1, failing_since = ? WHERE id = ? AND state = ?',
                [MessageState::Queued->value, $why, $since->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s'), $message->id, MessageState::Sending->value],
            );
            $this->bus->dispatch(new SendMessage($message->id), [new DelayStamp(1000 * $next)]);
        });
        $this->em->refresh($message);
    }

    /** Whether the whole letter was handed over and no answer came: then the server may have it (RFC 5321, section 4.5.3.2.6). */
    private static function hungUp(TransportExceptionInterface $error): bool
    {
        return 0 === $error->getCode() && 1 === preg_match('/^\[[^\]]*\] > \.\r?$/m', $error->getDebug());
    }

    private function mark(Message $message, MessageState $state, string $failure = ''): void
    {
        $act = Act::of(ChangeKind::Send, "{$state->done()} {$message->recordLabel()}")->from($message->submissionId)->about($message);
        $this->changes->carryOut($act, function () use ($message, $state, $failure): void {
            $message->becomes($state, $failure, MessageState::Sent === $state ? $this->clock->now() : null);
            if (MessageState::Failed === $state) {
                $this->events->dispatch(new NotDelivered($message));
            }
        });
    }
}
