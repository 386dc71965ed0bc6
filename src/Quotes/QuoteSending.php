<?php

declare(strict_types=1);

namespace Telamon\Quotes;

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
    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private QuoteWriting $writing,
        private QuoteMails $mails,
        private QuoteFiles $files,
        private Setups $setups,
        private ClockInterface $clock,
    ) {
    }

    /** @throws Refusal where something is missing: the first of it is named */
    public function send(Quote $quote, Edit $edit, Staff $by): void
    {
        $this->changes->carryOut($this->writing->change(
            "sent {$quote->shown()} to {$quote->client->name()}",
            $quote,
            $by,
            ChangeKind::Edit,
        )->looking($quote, $edit->version()), function () use ($quote): void {
            $this->writing->refuseOut($quote);
            $against = $this->against($quote);
            if (null !== $against) {
                throw $against;
            }
            $this->leave($quote);
        });
    }

    /** @return InvalidInput|null the first thing that a draft lacks; null where it can go out */
    public function against(Quote $quote): ?InvalidInput
    {
        foreach ($quote->content()->missing() as $missing) {
            return new InvalidInput("content.{$missing['path']}", $missing['words']);
        }

        return match (true) {
            $quote->validUntil < $this->today() => new InvalidInput('validUntil', 'It would have run out already. Choose a later day.'),
            '' === $this->mails->address($quote) => new InvalidInput('client', "{$quote->client->name()} has no mail address. Add one first."),
            default => null,
        };
    }

    /** A draft that lacks nothing goes out, in the place of an earlier revision. Call it inside a change. */
    public function leave(Quote $quote): Quote
    {
        foreach ($this->em->getRepository(Quote::class)->findBy(['number' => $quote->number]) as $other) {
            if ($other !== $quote && ($other->state->isOpen() || QuoteState::Expired === $other->state)) {
                $other->beReplaced();
            }
        }
        $quote->leave($this->clock->now(), $this->today());
        $this->em->flush();
        $this->files->keep($quote, "{$quote->number}-{$quote->revision}.pdf", $this->mails->toClient($quote, 'quote', held: true));

        return $quote;
    }

    private function today(): \DateTimeImmutable
    {
        return new \DateTimeImmutable($this->setups->today(), new \DateTimeZone('UTC'));
    }

    /** What the client has is no longer good; the link says so. @throws Refusal */
    public function withdraw(Quote $quote, Edit $edit, Staff $by): void
    {
        $this->changes->carryOut($this->writing->change("withdrew {$quote->shown()}", $quote, $by)->looking($quote, $edit->version()), static function () use ($quote): void {
            if (QuoteState::Accepted === $quote->state) {
                throw new ChangedMeanwhile('It is accepted and signed. That stays as it is.');
            }
            $quote->beReplaced();
        });
    }
}
