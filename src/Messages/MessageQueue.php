<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\Messenger\MessageBusInterface;
use Telamon\Clients\Client;
use Telamon\Core\Messaging\TemplateRenderer;
use Telamon\Projects\Project;
use Telamon\Setup\BusinessFacts;

/** Writes messages from templates and queues them. Call it inside a change. */
final readonly class MessageQueue
{
    public function __construct(
        private EntityManagerInterface $em,
        private MessageBusInterface $bus,
        private TemplateRenderer $renderer,
        private BusinessFacts $facts,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param array<string, string> $fields merge fields beyond the business's own
     */
    public function queue(string $template, string $to, string $toName, array $fields, ?Client $client, ?Project $project, ?string $submissionId): Message
    {
        $text = $this->em->getRepository(MessageTemplate::class)->findOneBy(['key' => $template]) ?? throw new \LogicException("there is no template $template");
        $business = $this->facts->business();
        $fields += ['business' => $business->name, 'business_phone' => $this->facts->phoneReader()->format($business->phone)];
        $message = new Message(
            \in_array($template, ['confirmation', 'copy'], true) ? 'confirmation' : 'notice',
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
        $this->bus->dispatch(new SendMessage($message->id));

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

    /** @return array<string, string> ISO 8601 day by template: what has gone out for this submission */
    public function alreadySent(string $submissionId): array
    {
        $sent = [];
        foreach ($this->em->getRepository(Message::class)->findBy(['submissionId' => $submissionId, 'state' => [MessageState::Sent, MessageState::Sending]]) as $message) {
            $sent[$message->template] = ($message->sentAt ?? $message->queuedAt)->setTimezone($this->facts->zone())->format('Y-m-d');
        }

        return $sent;
    }
}
