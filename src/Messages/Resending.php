<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Messenger\MessageBusInterface;
use Symfony\Component\Messenger\Transport\Receiver\ListableReceiverInterface;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Queues a failed message again, and takes its failure off the list of failures. */
final readonly class Resending
{
    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private MessageBusInterface $bus,
        #[Autowire(service: 'messenger.transport.failed')]
        private ListableReceiverInterface $failures,
        private ClockInterface $clock,
    ) {
    }

    /** @throws Refusal when the message has not failed */
    public function again(Message $message, Staff $staff): void
    {
        $label = $message->recordLabel();
        $change = new Change(ChangeKind::Send, mb_substr("queued again $label", 0, 300), $staff, $this->clock->now(), $message->submissionId, 'message', $message->id, mb_substr($label, 0, 300));
        $this->changes->carryOut($change, function () use ($message): void {
            $this->em->refresh($message);
            if (MessageState::Failed !== $message->state) {
                throw new NotFailed();
            }
            foreach ($this->failures->all() as $envelope) {
                $command = $envelope->getMessage();
                if ($command instanceof SendMessage && $command->messageId === $message->id) {
                    $this->failures->reject($envelope);
                }
            }
            $message->sendAgain();
            $this->bus->dispatch(new SendMessage($message->id));
        });
    }
}
