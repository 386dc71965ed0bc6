<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\EntityManagerInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Messenger\MessageBusInterface;
use Symfony\Component\Messenger\Transport\Receiver\ListableReceiverInterface;
use Telamon\Clients\ContactPoints;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Queues a failed message again, and takes its failure off the list of failures. */
final readonly class Resending
{
    private const MOST = 500;

    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private MessageBusInterface $bus,
        #[Autowire(service: 'messenger.transport.failed')]
        private ListableReceiverInterface $failures,
        private Ways $ways,
        private ContactPoints $points,
        private EventDispatcherInterface $events,
    ) {
    }

    /**
     * @param string $to another address; empty for the same
     *
     * @throws Refusal when the message has not failed, or the address is none
     */
    public function again(Message $message, Staff $staff, string $to = ''): void
    {
        $address = '' === $to ? $message->toAddress : $this->ways->of($message->channel)->address($to);
        $label = $message->recordLabel();
        $act = Act::of(ChangeKind::Send, "queued again $label", $staff)->from($message->submissionId)->about($message)->looking($message);
        $this->changes->carryOut($act, function () use ($message, $address): void {
            if (MessageState::Failed !== $message->state) {
                throw new NotFailed();
            }
            foreach ($this->failures->all() as $envelope) {
                $command = $envelope->getMessage();
                if ($command instanceof SendMessage && $command->messageId === $message->id) {
                    $this->failures->reject($envelope);
                }
            }
            $before = $message->toAddress;
            if ($address !== $before) {
                $message->goTo($address);
                $this->correct($message, $before);
            }
            $message->sendAgain();
            $this->events->dispatch(new SentAnew($message, $before));
            $this->bus->dispatch(new SendMessage($message->id));
        });
    }

    /**
     * All that failed: as after a mail server that was away for days.
     *
     * @return int how many
     */
    public function all(Staff $staff): int
    {
        $failed = $this->em->getRepository(Message::class)->findBy(['state' => MessageState::Failed], ['queuedAt' => 'ASC'], self::MOST);
        $count = 0;
        foreach ($failed as $message) {
            try {
                $this->again($message, $staff);
                ++$count;
            } catch (NotFailed) {
                // Somebody else was quicker.
            }
        }

        return $count;
    }

    /** On file too, where the refused one stands there. */
    private function correct(Message $message, string $before): void
    {
        $kind = $this->ways->of($message->channel)->kind();
        foreach ($message->client->contactPoints ?? [] as $point) {
            if ($kind === $point->kind && mb_strtolower($point->value) === mb_strtolower($before)) {
                $this->points->set($point->client, $point->kind, $message->toAddress, $point->value);
            }
        }
    }
}
