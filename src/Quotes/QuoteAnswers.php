<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Telamon\Business\Profile;
use Telamon\Core\Quotes\Content;
use Telamon\Core\Quotes\Currency;
use Telamon\Core\Quotes\InvalidContent;
use Telamon\Files\Attachment;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Projects\StageMoves;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Tasks\Task;
use Telamon\Tasks\TaskCounts;

/** What a client does with a quote by its link: open it, choose, ask, decline, accept and sign. */
final readonly class QuoteAnswers
{
    private const MOST_QUESTIONS = 20;

    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private QuoteWriting $writing,
        private QuoteMails $mails,
        private QuoteFiles $files,
        private WithQuote $with,
        private Parties $parties,
        private Closing $closing,
        private UblQuotation $ubl,
        private StageMoves $stages,
        private TaskCounts $counts,
        private Setups $setups,
        private EventDispatcherInterface $events,
        private Profile $business,
        private ClockInterface $clock,
    ) {
    }

    /** It is known that the client has opened it: once in an hour, however often it is loaded again. */
    public function opened(Quote $quote): void
    {
        if (!$quote->state->isOpen() || (null !== $quote->openedAt && $quote->openedAt > $this->clock->now()->modify('-1 hour'))) {
            return;
        }
        $this->changes->carryOut($this->writing->change(
            "{$quote->client->name()} opened {$quote->shown()}",
            $quote,
            null,
            ChangeKind::Receive,
        )->looking($quote), function () use ($quote): void {
            $now = $quote->state;
            if ($now->isOpen()) {
                $first = QuoteState::Sent === $quote->state;
                $quote->beOpened($this->clock->now());
                if ($first) {
                    $this->happened($quote, QuoteEvent::Opened);
                }
            }
        });
    }

    /**
     * What it says with other choices. Nothing is kept.
     *
     * @param list<string> $ticked keys of the lines that are chosen
     *
     * @throws Refusal
     */
    public function with(Quote $quote, array $ticked): Content
    {
        return $this->chosen($quote, $ticked);
    }

    /** @throws Refusal */
    public function ask(Quote $quote, string $words): void
    {
        if ('' === trim($words)) {
            throw new InvalidInput('words', 'Write what you would like to know.');
        }
        $this->changes->carryOut($this->writing->change(
            "{$quote->client->name()} asked about {$quote->shown()}",
            $quote,
            null,
            ChangeKind::Receive,
        )->looking($quote), function () use ($quote, $words): void {
            $last = $quote->questions[\count($quote->questions) - 1] ?? null;
            if (($last['words'] ?? '') === trim($words)) {
                return;
            }
            if (\count($quote->questions) >= self::MOST_QUESTIONS) {
                throw new QuoteOver('That is many questions. Ring us: it is quicker.');
            }
            $quote->ask(trim($words), $this->clock->now());
            $this->mails->toLead($quote, 'has a question', trim($words));
            $this->task($quote, self::askedFor($quote));
        });
    }

    /** @throws Refusal */
    public function decline(Quote $quote, string $reason): void
    {
        $this->changes->carryOut($this->writing->change(
            "{$quote->client->name()} declined {$quote->shown()}",
            $quote,
            null,
            ChangeKind::Receive,
        )->looking($quote), function () use ($quote, $reason): void {
            if (QuoteState::Declined === $quote->state) {
                return;
            }
            $this->refuseOver($quote);
            $quote->beAnswered(QuoteState::Declined, $this->clock->now(), mb_substr(trim($reason), 0, 500));
            $this->mails->toLead($quote, 'is declined', trim($reason));
            $this->happened($quote, QuoteEvent::Declined);
        });
    }

    /**
     * Accepts and signs. What is agreed is looked at again under the write lock: two at one time are one, and a total
     * that is not the one on the page is refused.
     *
     * @param list<string> $ticked keys of the lines that are chosen
     * @param string $total that stood on the page, decimal as text
     * @param string $drawing PNG as a data address; empty where the name was typed
     * @param Reached $reached by what way they came
     *
     * @throws Refusal
     */
    public function accept(Quote $quote, array $ticked, string $total, string $name, string $drawing, Reached $reached): void
    {
        $name = Closing::mayBe($name, $drawing);
        $this->changes->carryOut($this->writing->change(
            "$name accepted {$quote->shown()}",
            $quote,
            null,
            ChangeKind::Receive,
        )->looking($quote), function () use ($quote, $ticked, $total, $name, $drawing, $reached): void {
            if (QuoteState::Accepted === $quote->state) {
                throw new QuoteOver('It is accepted already. Thank you: there is nothing else to do.');
            }
            $this->refuseOver($quote);
            $content = $this->chosen($quote, $ticked);
            $totals = $content->totals(Currency::of($quote->currency), $quote->gross);
            if ((string) $totals->total !== $total) {
                throw new QuoteOver('The sum on your page is not that of the quote any more. Load the page again and look at it before you sign.');
            }
            $now = $this->clock->now();
            $quote->say($content);
            $facts = QuoteFacts::of($quote, $this->parties);
            $files = array_map(static fn (Attachment $file): array => ['name' => $file->name, 'sha256' => $file->file->sha256], $this->with->of($quote));
            $this->em->persist($this->closing->close(
                $quote->id,
                ['what' => 'quote', 'files' => $files] + $facts->toArray(),
                $name,
                $drawing,
                $reached->by($this->mails->address($quote), $quote->openedTimes),
                $this->ubl->of($facts),
            ));
            $quote->beAnswered(QuoteState::Accepted, $now);
            $this->em->flush();
            $letter = $this->mails->toClient($quote, 'quote-accepted', ['deposit_due' => $totals->deposit->isZero() ? '' : 'yes']);
            $this->files->keep($quote, "{$quote->number}-{$quote->revision}-signed.pdf", $letter);
            $this->mails->toLead($quote, 'is accepted', '');
            $stage = $this->setups->setup()->yesStage;
            if (null !== $quote->project && '' !== $stage) {
                $this->stages->within($quote->project, $stage);
            }
            if (!$totals->deposit->isZero()) {
                $this->task($quote, 'See that the deposit of '.Money::shown((string) $totals->deposit, $quote->currency).' comes in');
            }
            $this->happened($quote, QuoteEvent::Accepted);
        });
    }

    /** @throws Refusal where it cannot be answered (any more), with the way on */
    public function refuseOver(Quote $quote): void
    {
        $over = $this->over($quote);
        if ('' !== $over) {
            throw new QuoteOver($over);
        }
    }

    /** @return string why it cannot be answered (any more), in words for the client; empty where it can */
    public function over(Quote $quote): string
    {
        $ran = $quote->state->isOpen() && $quote->validUntil->format('Y-m-d') < $this->setups->today();

        return match (true) {
            $ran, QuoteState::Expired === $quote->state => "It was good until {$quote->validUntil->format('j F Y')}. Ask us, and we send it again.",
            QuoteState::Replaced === $quote->state => 'It is no longer good: there is another one, or we withdrew it. Look into your mail, or ask us.',
            QuoteState::Declined === $quote->state => 'You said no to it. If that has changed, ask us and we send it again.',
            QuoteState::Accepted === $quote->state => 'It is accepted. Thank you.',
            QuoteState::Draft === $quote->state => 'It is not sent yet.',
            default => '',
        };
    }

    /** What somebody has to do once a client has asked. */
    public static function askedFor(Quote $quote): string
    {
        return "Answer the question about {$quote->shown()}";
    }

    private function happened(Quote $quote, QuoteEvent $what): void
    {
        $this->em->flush();
        $this->events->dispatch(new QuoteHappened($quote, $what));
    }

    /** @param list<string> $ticked */
    private function chosen(Quote $quote, array $ticked): Content
    {
        try {
            return $quote->content()->choosing($ticked);
        } catch (InvalidContent $error) {
            throw new InvalidInput($error->path, $error->getMessage());
        }
    }

    /** Something to do for whoever leads, where there is a project. */
    private function task(Quote $quote, string $name): void
    {
        if (null !== $quote->project) {
            $this->em->persist(new Task(
                $quote->project,
                $this->counts->last($quote->project) + 1,
                mb_substr($name, 0, 200),
                $quote->lead,
                $this->business->workingDays()->add(new \DateTimeImmutable($this->setups->today(), new \DateTimeZone('UTC')), 1),
                [],
                '',
            ));
        }
    }
}
