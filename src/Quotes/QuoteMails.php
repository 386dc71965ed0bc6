<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Clients\ContactKind;
use Telamon\Core\Reading\NameReader;
use Telamon\Messages\GivesExamples;
use Telamon\Messages\Message;
use Telamon\Messages\MessageQueue;
use Telamon\Messages\Purpose;

/** Writes mails about quotes, to the client and to whoever leads. Call it inside a change. */
final readonly class QuoteMails implements GivesExamples
{
    public function __construct(private EntityManagerInterface $em, private MessageQueue $messages, private QuoteLinks $links, private NameReader $names)
    {
    }

    public function address(Quote $quote): string
    {
        return $quote->client->first(ContactKind::Email) ?? '';
    }

    /**
     * @param string $template key of the text
     * @param array<string, string> $more merge fields beyond those of the quote
     *
     * @return Message|null null where the client has no mail address
     */
    public function toClient(Quote $quote, string $template, array $more = [], bool $held = false): ?Message
    {
        $email = $this->address($quote);
        if ('' === $email) {
            return null;
        }

        return $this->messages->queue(
            $template,
            $email,
            $quote->client->name(),
            $more + $this->fields($quote, $quote->client->givenName),
            $quote->client,
            $quote->project,
            $quote->submissionId,
            held: $held,
        );
    }

    /** @param string $words what they wrote; empty for nothing */
    public function toLead(Quote $quote, string $what, string $words): void
    {
        $this->messages->queue(
            'quote-answered',
            $quote->lead->email,
            $quote->lead->name,
            ['what' => $what, 'words' => $words, 'link' => $this->links->staffAddress($quote)] + $this->fields($quote, $this->names->read($quote->lead->name)->given),
            $quote->client,
            $quote->project,
            $quote->submissionId,
        );
    }

    public function drafted(Quote $quote): void
    {
        $this->toLead($quote, 'is to be written', '');
    }

    public function purpose(): Purpose
    {
        return Purpose::Quote;
    }

    public function records(): array
    {
        return array_map(
            static fn (Quote $quote): array => ['id' => $quote->id, 'label' => "{$quote->client->name()}, {$quote->shown()}", 'path' => "/quotes/{$quote->id}"],
            $this->em->getRepository(Quote::class)->findBy([], ['id' => 'DESC'], 20),
        );
    }

    public function values(string $id): ?array
    {
        $quote = $this->em->find(Quote::class, $id);

        return null === $quote ? null : $this->fields($quote, $quote->client->givenName) + ['deposit_due' => $quote->totals()->deposit->isZero() ? '' : 'yes'];
    }

    /** @return array<string, string> */
    private function fields(Quote $quote, string $first): array
    {
        return [
            'first_name' => $first, 'client' => $quote->client->name(), 'quote' => $quote->shown(), 'project' => $quote->project->title ?? '',
            'total' => Money::shown($quote->total, $quote->currency), 'deposit' => Money::shown((string) $quote->totals()->deposit, $quote->currency),
            'valid_until' => $quote->validUntil->format('l j F Y'),
            'link' => $this->links->address($quote), 'lead' => $quote->lead->name,
        ];
    }
}
