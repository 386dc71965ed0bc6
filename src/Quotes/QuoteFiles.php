<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Symfony\Component\Messenger\MessageBusInterface;
use Telamon\Journal\CurrentChange;
use Telamon\Messages\Message;

/** Has a quote or an agreement drawn as it stands and put on file with its client and project, and with the letter that tells of it. Call it inside a change. */
final readonly class QuoteFiles
{
    public function __construct(private MessageBusInterface $bus, private CurrentChange $current)
    {
    }

    public function keep(Quote $quote, string $name, ?Message $with): void
    {
        $this->ask($quote->id, false, $name, $with);
    }

    public function keepAgreement(Agreement $agreement, ?Message $with): void
    {
        $this->ask($agreement->id, true, "{$agreement->title}-signed.pdf", $with);
    }

    private function ask(string $of, bool $isAgreement, string $name, ?Message $with): void
    {
        $change = $this->current->get() ?? throw new \LogicException('papers belong to a change');
        $with?->awaitPaper();
        $this->bus->dispatch(new KeepPaper($change->id, $of, $isAgreement, $name, $with->id ?? ''));
    }
}
