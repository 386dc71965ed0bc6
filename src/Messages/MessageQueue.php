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
use Telamon\Core\Plan\SentBefore;
use Telamon\Core\Text\TemplateRenderer;
use Telamon\Projects\Project;

/** Writes messages from templates and queues them. Call it inside a change. */
final readonly class MessageQueue
{
    public function __construct(
        private EntityManagerInterface $em,
        private MessageBusInterface $bus,
        private TemplateRenderer $renderer,
        private Profile $business,
        private ClockInterface $clock,
        #[Autowire(env: 'int:TELAMON_HOLD_SECONDS')]
        private int $holdSeconds,
    ) {
    }

    /**
     * @param array<string, string> $fields merge fields beyond the business's own
     * @param string $says what it rests on, as the plan says
     * @param bool $held whether it waits a moment, so that undo can stop it
     */
    public function queue(string $template, string $to, string $toName, array $fields, ?Client $client, ?Project $project, ?string $submissionId, string $says = '', bool $held = false): Message
    {
        $text = $this->em->getRepository(MessageTemplate::class)->findOneBy(['key' => $template]) ?? throw new \LogicException("there is no template $template");
        $business = $this->business->business();
        $fields += ['business' => $business->name, 'business_phone' => $this->business->phoneReader()->format($business->phone)];
        $message = new Message(
            match ($template) {
                'confirmation', 'copy' => 'confirmation',
                'notice', 'added', 'told' => 'notice',
                default => 'message',
            },
            $to,
            $toName,
            $business->email,
            $business->name,
            $this->renderer->subject($text->subject, $fields),
            $this->renderer->body($text->body, $fields),
            $template,
            $client,
            $project,
            $submissionId,
            $this->clock->now(),
        );
        $this->em->persist($message);
        $message->hold($says, $held ? $this->clock->now()->modify("+{$this->holdSeconds} seconds") : $this->clock->now());
        $this->bus->dispatch(new SendMessage($message->id), $held && $this->holdSeconds > 0 ? [new DelayStamp(1000 * $this->holdSeconds)] : []);

        return $message;
    }

    /** @return array<string, string> name by key */
    public function templateNames(): array
    {
        $names = [];
        foreach ($this->em->getRepository(MessageTemplate::class)->findAll() as $template) {
            $names[$template->key] = $template->name;
        }

        return $names;
    }

    /** Seconds that a mail waits which somebody's decision sends. */
    public function holdSeconds(): int
    {
        return $this->holdSeconds;
    }

    /** @return list<SentBefore> what has gone out for this submission, the newest first */
    public function alreadySent(string $submissionId): array
    {
        $sent = [];
        foreach ($this->em->getRepository(Message::class)->findBy(['submissionId' => $submissionId, 'state' => [MessageState::Sent, MessageState::Sending]], ['queuedAt' => 'DESC', 'id' => 'DESC']) as $message) {
            $sent[] = new SentBefore($message->template, $message->toAddress, $message->says, ($message->sentAt ?? $message->queuedAt)->setTimezone($this->business->zone())->format('Y-m-d'));
        }

        return $sent;
    }
}
