<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Record\ChangedMeanwhile;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Sends quotes to clients, and withdraws them. */
final readonly class QuoteSending
{
    public function __construct(private EntityManagerInterface $em, private Changes $changes, private QuoteWriting $writing, private QuoteMails $mails, private QuoteFiles $files, private Setups $setups, private ClockInterface $clock)
    {
    }

    /** @throws Refusal where something is missing: the first of it is named */
    public function send(Quote $quote, Edit $edit, Staff $by): void
    {
        $today = new \DateTimeImmutable($this->setups->today(), new \DateTimeZone('UTC'));
        $this->changes->carryOut($this->writing->change("sent {$quote->shown()} to {$quote->client->name()}", $quote, $by, ChangeKind::Edit), function () use ($quote, $edit, $today): void {
            $this->em->refresh($quote);
            $this->em->lock($quote, LockMode::OPTIMISTIC, $edit->version());
            $this->writing->refuseOut($quote);
            foreach ($quote->content()->missing() as $missing) {
                throw new InvalidInput("content.{$missing['path']}", $missing['words']);
            }
            if ($quote->validUntil < $today) {
                throw new InvalidInput('validUntil', 'It would have run out already. Choose a later day.');
            }
            if ('' === $this->mails->address($quote)) {
                throw new InvalidInput('client', "{$quote->client->name()} has no mail address. Add one first.");
            }
            foreach ($this->em->getRepository(Quote::class)->findBy(['number' => $quote->number]) as $other) {
                if ($other !== $quote && ($other->state->isOpen() || QuoteState::Expired === $other->state)) {
                    $other->beReplaced();
                }
            }
            $quote->leave($this->clock->now(), $today);
            $this->em->flush();
            $this->files->keep($quote, "{$quote->number}-{$quote->revision}.pdf", $this->mails->toClient($quote, 'quote', held: true));
        });
    }

    /** What the client has is no longer good; the link says so. @throws Refusal */
    public function withdraw(Quote $quote, Edit $edit, Staff $by): void
    {
        $this->changes->carryOut($this->writing->change("withdrew {$quote->shown()}", $quote, $by), function () use ($quote, $edit): void {
            $this->em->refresh($quote);
            $this->em->lock($quote, LockMode::OPTIMISTIC, $edit->version());
            if (QuoteState::Accepted === $quote->state) {
                throw new ChangedMeanwhile('It is accepted and signed. That stays as it is.');
            }
            $quote->beReplaced();
        });
    }
}
