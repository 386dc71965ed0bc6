<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Brick\Math\BigDecimal;
use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Core\Quotes\Content;
use Telamon\Core\Quotes\Currency;
use Telamon\Core\Quotes\Differences;
use Telamon\Core\Quotes\Totals;
use Telamon\Core\Quotes\Units;
use Telamon\Files\Attachment;
use Telamon\Record\RecordRef;
use Telamon\Submissions\Submission;

/** Shows quotes: to the office as Quote, to the client as PublicQuote in the contract. */
final readonly class QuoteView
{
    public function __construct(
        private EntityManagerInterface $em,
        private QuoteLinks $links,
        private QuoteMails $mails,
        private QuoteAnswers $answers,
        private WithQuote $with,
        private Setups $setups,
        private Profile $business,
    ) {
    }

    /** @return array<string, mixed> as QuoteRow in the contract */
    public function row(Quote $quote): array
    {
        $at = fn (?\DateTimeImmutable $at): ?string => $at?->setTimezone($this->business->zone())->format(\DATE_RFC3339);
        $today = $this->setups->today();

        return [
            'id' => $quote->id, 'number' => $quote->shown(), 'revision' => $quote->revision, 'state' => $this->state($quote),
            'client' => RecordRef::of($quote->client), 'project' => RecordRef::maybe($quote->project),
            'total' => $quote->total, 'currency' => $quote->currency, 'toPrice' => $quote->toPrice, 'asked' => $quote->isAsked()
                && $quote->state->isOpen(), 'lead' => ['id' => $quote->lead->id, 'name' => $quote->lead->name, 'initials' => $quote->lead->initials],
            'madeAt' => $at($quote->madeAt), 'sentAt' => $at($quote->sentAt), 'openedAt' => $at($quote->openedAt),
            'openedTimes' => $quote->openedTimes, 'answeredAt' => $at($quote->answeredAt), 'validUntil' => $quote->validUntil->format('Y-m-d'),
            'daysLeft' => (int) (new \DateTimeImmutable($today))->diff(new \DateTimeImmutable($quote->validUntil->format('Y-m-d')))->format('%r%a'),
        ];
    }

    public function state(Quote $quote): string
    {
        return QuoteState::shown($quote->state, $quote->validUntil, $this->setups->today());
    }

    /** @return array<string, mixed> as Quote in the contract */
    public function show(Quote $quote): array
    {
        $submission = null === $quote->submissionId ? null : $this->em->find(Submission::class, $quote->submissionId);
        $signed = $this->em->find(Signed::class, $quote->id);
        $revisions = $this->em->getRepository(Quote::class)->findBy(['number' => $quote->number], ['revision' => 'ASC']);

        return $this->row($quote) + [
            'version' => $quote->version, 'gross' => $quote->gross, 'content' => $quote->content()
                ->toArray(), 'totals' => self::sums($quote->content(), $quote->totals(), $quote->currency), 'missing' => $quote
                ->content()
                ->missing(), 'email' => $this->mails
                ->address($quote),
            'submission' => RecordRef::maybe($submission), 'readyBy' => $quote->project?->readyBy?->format('Y-m-d'), 'reason' => $quote->reason, 'questions' => array_map(
                static fn (array $one): array => $one + ['answer' => ''],
                $quote->questions,
            ),
            'signed' => null === $signed
                ? null
                : [
                    'name' => $signed->name,
                    'at' => $signed->at->setTimezone($this->business->zone())->format(\DATE_RFC3339),
                    'sha256' => $signed->sha256,
                    'drawn' => '' !== $signed->drawing,
                ],
            'revisions' => array_map(
                static fn (Quote $one): array => ['id' => $one->id, 'number' => $one->shown(), 'state' => $one->state->value, 'total' => $one->total],
                $revisions,
            ),
            'token' => null === $quote->sentAt ? null : $this->links->token($quote),
        ];
    }

    /**
     * What differs between two revisions, in words.
     *
     * @return list<string>
     */
    public function differences(Quote $before, Quote $after): array
    {
        $told = Differences::between($before->content(), $after->content());
        if ($before->gross !== $after->gross) {
            $told[] = $after->gross ? 'Prices are with VAT now.' : 'Prices are without VAT now.';
        }
        if ($before->validUntil->format('Y-m-d') !== $after->validUntil->format('Y-m-d')) {
            $told[] = "Good until {$after->validUntil->format('j F Y')} (before: {$before->validUntil->format('j F Y')})";
        }
        if ($before->total !== $after->total) {
            $told[] = 'Total: '.Money::shown($after->total, $after->currency).' (before: '.Money::shown($before->total, $before->currency).')';
        }

        return $told;
    }

    /** @return array<string, mixed> as PublicQuote in the contract */
    public function forClient(Quote $quote, bool $byOffice = false): array
    {
        $content = $quote->content();
        $sheet = (new QuoteSheet($content, $quote->totals(), $quote->currency))->lines();
        $totals = $quote->totals();
        $before = $quote->revision > 1 ? $this->em->getRepository(Quote::class)->findOneBy(['number' => $quote->number, 'revision' => $quote->revision - 1]) : null;
        $signed = $this->em->find(Signed::class, $quote->id);
        $lines = [];
        foreach ($content->lines as $i => $line) {
            $lines[] = [
                'key' => $line->key, 'name' => $line->name, 'text' => $line->text, 'group' => $line->group, 'quantity' => $line->quantity,
                'unit' => Units::words($line->unit, $line->quantity), 'net' => (string) $totals->lines[$i], 'price' => $sheet[$i]['price'],
                'off' => $sheet[$i]['off'], 'rate' => $sheet[$i]['rate'],
                'choice' => $line->optional || '' !== $line->instead || $content->hasAlternative($line->key), 'optional' => $line->optional, 'place' => '' === $line->instead
                    ? ($content->hasAlternative($line->key) ? $line->key : '')
                    : $line->instead, 'ticked' => $content->counts($line),
            ];
        }

        return [
            'byOffice' => $byOffice, 'number' => $quote->shown(), 'client' => $quote->client
                ->name(), 'first' => $quote->client->givenName, 'title' => $quote->asset->description ?? $quote->project->title ?? '', 'sent' => $quote->issuedOn
                ?->format('Y-m-d'), 'validUntil' => $quote->validUntil
                ->format('Y-m-d'),
            'state' => $quote->state->value, 'over' => $this->answers->over($quote), 'lead' => $quote->lead->name, 'intro' => $content->intro,
            'terms' => $content->terms, 'reason' => $content->reason, 'gross' => $quote->gross, 'currency' => $quote->currency,
            'lines' => $lines, 'totals' => self::sums($content, $totals, $quote->currency), 'changed' => null === $before ? [] : $this->differences($before, $quote),
            'signed' => null === $signed ? null : ['name' => $signed->name, 'at' => $signed->at->setTimezone($this->business->zone())->format(\DATE_RFC3339)],
            'questions' => array_map(static fn (array $one): array => ['words' => $one['words'], 'answer' => $one['answer'] ?? ''], $quote->questions),
            'files' => array_map(
                static fn (Attachment $file): array => [
                    'id' => $file->id,
                    'name' => $file->name,
                    'note' => $file->note,
                    'size' => $file->file->size,
                    'isImage' => str_starts_with($file->file->type, 'image/'),
                ],
                $this->with->of($quote),
            ),
        ];
    }

    /** @return array<string, mixed> as QuoteTotals in the contract: the block of sums that the page, the paper and the office show */
    public static function sums(Content $content, Totals $totals, string $currency): array
    {
        $sheet = new QuoteSheet($content, $totals, $currency);

        return [
            'lines' => array_map(static fn (BigDecimal $net): string => (string) $net, $totals->lines),
            'allowances' => array_map(strval(...), $totals->allowances),
            'charges' => array_map(strval(...), $totals->charges),
            'totalText' => Money::shown((string) $totals->total, Currency::of($currency)->code),
            'sums' => $sheet->sums(),
            'payments' => $sheet->payments(),
        ] + $totals->toArray();
    }
}
