<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Journal\Changes;
use Telamon\Record\ChangedMeanwhile;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;
use Telamon\Tasks\Task;
use Telamon\Tasks\TaskFinishing;

/** Answers what a client asked about a quote: by mail, and on their page beside the question. */
final readonly class QuoteReply
{
    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private QuoteWriting $writing,
        private QuoteMails $mails,
        private TaskFinishing $finishing,
        private ClockInterface $clock,
    ) {
    }

    /** @throws Refusal where it is answered already, or there is no such question */
    public function reply(Quote $quote, Edit $edit, Staff $by): void
    {
        $words = $edit->text('words', 2000) ?? '';
        if ('' === $words) {
            throw new InvalidInput('words', 'Write the answer.');
        }
        $at = $edit->whole('question', 0, 1000) ?? 0;
        $this->changes->carryOut($this->writing->change(
            "answered {$quote->client->name()} about {$quote->shown()}",
            $quote,
            $by,
        )->looking($quote), function () use ($quote, $edit, $words, $at): void {
            $question = $quote->questions[$at] ?? throw new InvalidInput('question', 'There is no such question.');
            if (isset($question['answer'])) {
                throw new ChangedMeanwhile('Somebody has answered this already. Look at it again.');
            }
            $this->em->lock($quote, LockMode::OPTIMISTIC, $edit->version());
            $quote->reply($at, $words, $this->clock->now());
            if (!$quote->isAsked() && null !== $quote->project) {
                foreach ($this->em->getRepository(Task::class)->findBy(['project' => $quote->project, 'name' => QuoteAnswers::askedFor($quote), 'finishedAt' => null]) as $task) {
                    $this->finishing->within($task);
                }
            }
            $this->mails->toClient($quote, 'quote-reply', ['question' => $question['words'], 'words' => $words], held: true);
        });
    }
}
