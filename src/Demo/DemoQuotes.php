<?php

declare(strict_types=1);

namespace Telamon\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Core\Quotes\Content;
use Telamon\Core\Quotes\Priced;
use Telamon\Core\Quotes\QuoteLine;
use Telamon\Core\Quotes\Vat;
use Telamon\Database\Counter;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Projects\Project;
use Telamon\Quotes\PriceItem;
use Telamon\Quotes\Quote;
use Telamon\Quotes\QuoteSetup;
use Telamon\Quotes\QuoteState;
use Telamon\Quotes\QuoteTemplate;

/** The workshop's price list, how it quotes, and quotes of two years: some open, most answered. */
final readonly class DemoQuotes
{
    /** @var list<array{string, string, string, string, string|null, string, string, int}> code, name, text, unit, price, rate, group, minutes */
    private const PRICES = [
        ['first-visit', 'First visit', 'An hour at your house', 'E48', '65.00', '13.5', 'The work', 60],
        ['tuning', 'Tuning', 'To concert pitch', 'C62', '77.00', '13.5', 'The work', 60],
        ['pitch', 'Raise the pitch and tune', 'Two passes on one day', 'C62', '145.00', '13.5', 'The work', 120],
        ['bass-string', 'Bass string, made and fitted', 'Wound to match the old ones', 'C62', '48.00', '13.5', 'The work', 30],
        ['key', 'Free a sticking key', '', 'C62', '12.00', '13.5', 'The work', 10],
        ['regulate', 'Regulate the action', 'Half a day in the workshop', 'LS', '210.00', '13.5', 'The work', 240],
        ['carry', 'Carry the piano away and back', '', 'E48', null, '23', 'The work', 180],
        ['strings-all', 'New strings and hammers', 'In the workshop, eight weeks', 'LS', '2400.00', '13.5', 'The work', 4800],
        ['concert', 'Concert service, day and evening', '', 'DAY', '380.00', '23', 'The work', 600],
        ['second-tuning', 'Second tuning after six weeks', 'New strings stretch', 'E48', '85.00', '13.5', 'Add if you like', 60],
        ['clean', 'Clean inside and under the keys', 'Half a day, while the keys are out', 'LS', '70.00', '13.5', 'Add if you like', 180],
        ['meter', 'Humidity meter, for the wall', '', 'C62', '38.00', '23', 'Add if you like', 5],
    ];

    public function __construct(private EntityManagerInterface $em, private Changes $changes, private Counter $counter, private Profile $business)
    {
    }

    public function load(\DateTimeImmutable $now): void
    {
        $this->changes->carryOut(Act::of(ChangeKind::Setup, 'wrote the price list')->at($now->modify('-60 days')), function (): void {
            foreach (self::PRICES as [$code, $name, $text, $unit, $price, $rate, $group, $minutes]) {
                $item = new PriceItem(
                    $code,
                    new Priced($code, $name, $text, $unit, $price, new Vat('S', $rate), $group, 'key' === $code ? [['from' => '20', 'price' => '9.50']] : []),
                );
                $item->hold($minutes, null, null, false);
                $this->em->persist($item);
            }
            $setup = new QuoteSetup();
            $setup->usual(false, new Vat('S', '13.5'), 14, 3, '20', 'We ask before any further work. Strings that we make stay ours until they are paid.');
            $setup->moves('Quote', 'Workshop');
            $row = static fn (string $service, string $code, string $question = '', string $answer = '', bool $optional = false): array => [
                'service' => $service,
                'question' => $question,
                'answer' => $answer,
                'code' => $code,
                'count' => '',
                'quantity' => '1',
                'optional' => $optional,
            ];
            $setup->price([
                $row('tuning', 'tuning'), $row('repair', 'first-visit'), $row('restoration', 'first-visit'), $row('restoration', 'strings-all'), $row('concert', 'concert'),
                $row('repair', 'bass-string', 'problem', 'string'), $row('repair', 'key', 'problem', 'stick'), $row('repair', 'pitch', 'problem', 'semitone'),
                $row('', '', 'place', 'steps'), $row('', 'carry', 'place', 'stairs'),
                $row('repair', 'second-tuning', '', '', true), $row('repair', 'clean', '', '', true), $row('tuning', 'meter', '', '', true),
            ]);
            $this->em->persist($setup);
        });
        $this->changes->carryOut(Act::of(ChangeKind::Setup, 'put quotes on file')->at($now), function () use ($now): void {
            $open = $this->em->getRepository(Project::class)->findBy(['closedAt' => null], ['openedAt' => 'DESC'], 40);
            foreach ($open as $i => $project) {
                // Most of what is behind the workshop was answered; of what is dear, less often with yes.
                for ($past = 1; $past <= ($i < 30 ? 2 : 1); ++$past) {
                    $this->answered($project, $now, $i, $past);
                }
            }
            foreach (\array_slice($open, 0, 14) as $i => $project) {
                $this->current($project, $now, $i);
            }
            $this->em->persist(new QuoteTemplate(
                'Bass strings on the spot',
                new Content($this->lines([['first-visit', '1'], ['bass-string', '2'], ['second-tuning', '1', true]]), intro: 'Two strings are gone; the others hold.'),
            ));
            $this->em->persist(new QuoteTemplate(
                'Restoration, whole',
                new Content(
                    $this->lines([['carry', '1'], ['strings-all', '1'], ['regulate', '1'], ['second-tuning', '1']]),
                    deposit: ['percent' => '30', 'amount' => null],
                    intro: 'Eight weeks in the workshop, and it plays like new.',
                ),
            ));
        });
    }

    private function answered(Project $project, \DateTimeImmutable $now, int $i, int $past): void
    {
        $days = 70 + 9 * $i + 25 * $past;
        $lines = $this->lines([
            ['tuning', '1'],
            ...(0 === $i % 2 ? [['regulate', '1']] : []),
            ...(0 === $i % 5 ? [['strings-all', '1']] : []),
            ['bass-string', (string) (1 + $i % 9)],
        ]);
        $quote = $this->quote($project, $lines, $now->modify("-$days days"));
        $quote->leave($now->modify('-'.($days - 1).' days'), $now->modify('-'.($days - 1).' days')->setTime(0, 0));
        $quote->beAnswered(0 === ($i + $past) % 3 ? QuoteState::Declined : (0 === $i % 11 ? QuoteState::Expired : QuoteState::Accepted), $now->modify('-'.($days - 4).' days'));
    }

    private function current(Project $project, \DateTimeImmutable $now, int $i): void
    {
        $lines = $this->lines([
            ['first-visit', '1'],
            ['bass-string', (string) (1 + $i % 4)],
            ['key', (string) (3 + 2 * $i)],
            ...(0 === $i % 3 ? [['pitch', '1']] : []),
            ...(0 === $i % 4 ? [['regulate', '1']] : []),
            ...($i < 2 ? [['carry', '1']] : []),
            ['second-tuning', '1', true],
            ['clean', '1', true],
        ]);
        $sent = 3 + $i % 8;
        $quote = $this->quote($project, $lines, $now->modify("-$sent days"));
        if ($i < 4) {
            return;
        }
        $quote->leave($now->modify("-$sent days"), $now->modify("-$sent days")->setTime(0, 0));
        if ($i > 6) {
            $quote->beOpened($now->modify('-1 day'));
        }
        if (8 === $i) {
            $quote->ask('Is the van in the price, or does that come on top?', $now->modify('-5 hours'));
        }
        if ($i > 11) {
            $quote->beAnswered(QuoteState::Accepted, $now->modify('-2 days'));
        }
    }

    /** @param list<QuoteLine> $lines */
    private function quote(Project $project, array $lines, \DateTimeImmutable $made): Quote
    {
        $today = new \DateTimeImmutable($made->format('Y-m-d'), new \DateTimeZone('UTC'));
        $quote = new Quote(
            $this->counter->next('Q'),
            1,
            $project->client,
            $project,
            $project->submissionId,
            $project->lead,
            $this->business->business()->currency,
            false,
            new Content(
                $lines,
                deposit: ['percent' => '20', 'amount' => null],
                intro: 'I looked at it, and it is sound and worth the work.',
                terms: 'We ask before any further work.',
            ),
            $today->modify('+14 days'),
            $made,
        );
        $this->em->persist($quote);

        return $quote;
    }

    /**
     * @param list<array{0: string, 1: string, 2?: bool}> $wanted code, how many, whether it may be left out
     *
     * @return list<QuoteLine>
     */
    private function lines(array $wanted): array
    {
        $lines = [];
        foreach ($wanted as $i => $one) {
            $item = $this->em->getRepository(PriceItem::class)->findOneBy(['code' => $one[0]]) ?? throw new \LogicException("{$one[0]} has a price");
            $lines[] = $item->priced()->line('l'.($i + 1), $one[1], $one[2] ?? false);
        }

        return $lines;
    }
}
