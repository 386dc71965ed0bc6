<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Keeps how the business quotes: what is usual, and the table by which answers become lines. */
final readonly class SetupKeeping
{
    public function __construct(private EntityManagerInterface $em, private Changes $changes, private Profile $business, private PriceReader $reader = new PriceReader())
    {
    }

    /** @throws Refusal */
    public function keep(Edit $edit, Staff $by): void
    {
        $vat = $this->reader->vat($edit->any('vat'), 'vat');
        $deposit = $this->reader->figure($edit->text('deposit', 12) ?? '', 'deposit', 100) ?? '';
        $rows = $this->table($edit->any('rows'));
        foreach (['draftStage', 'yesStage'] as $field) {
            $stage = $edit->text($field, 60) ?? '';
            if ('' !== $stage && !\in_array($stage, $this->business->stages(), true)) {
                throw new InvalidInput($field, 'Choose a stage that is there.');
            }
        }
        $this->changes->carryOut(Act::of(ChangeKind::Settings, 'changed how we quote', $by), function () use ($edit, $vat, $deposit, $rows): void {
            $setup = $this->em->find(QuoteSetup::class, QuoteSetup::ID);
            if (null === $setup) {
                $setup = new QuoteSetup();
                $this->em->persist($setup);
            } else {
                $this->em->lock($setup, LockMode::OPTIMISTIC, $edit->version());
            }
            $setup->usual(
                $edit->yes('gross') ?? $setup->gross,
                $vat,
                $edit->whole('validDays', 1, 365) ?? $setup->validDays,
                $edit->whole('nudgeDays', 0, 60) ?? $setup->nudgeDays,
                $deposit,
                $edit->text('terms', 10_000) ?? $setup->terms,
            );
            $setup->moves($edit->text('draftStage', 60) ?? '', $edit->text('yesStage', 60) ?? '');
            $setup->price($rows);
        });
    }

    /**
     * @return list<array{service: string, question: string, answer: string, code: string, count: string, quantity: string, optional: bool}>
     *
     * @throws Refusal
     */
    private function table(mixed $data): array
    {
        $rows = [];
        $codes = array_map(static fn (PriceItem $item): string => $item->code, $this->em->getRepository(PriceItem::class)->findAll());
        foreach (\is_array($data) ? array_values($data) : [] as $i => $row) {
            $row = \is_array($row) ? $row : [];
            $text = static fn (string $key): string => \is_string($row[$key] ?? null) ? mb_substr(trim($row[$key]), 0, 200) : '';
            $read = [
                'service' => $text('service'),
                'question' => $text('question'),
                'answer' => $text('answer'),
                'code' => $text('code'),
                'count' => $text('count'),
                'quantity' => '' === $text('quantity') ? '1' : ($this->reader->figure($text('quantity'), "rows.$i.quantity") ?? '1'),
                'optional' => true === ($row['optional'] ?? false),
            ];
            if ('' === $read['service'] && '' === $read['question']) {
                throw new InvalidInput("rows.$i.service", 'Choose a service, or name the question that it waits for.');
            }
            if ('' !== $read['code'] && !\in_array($read['code'], $codes, true)) {
                throw new InvalidInput("rows.$i.code", "“{$read['code']}” is not on the price list.");
            }
            $rows[] = $read;
        }

        return \count($rows) <= 200 ? $rows : throw new InvalidInput('rows', 'At most 200 rows fit.');
    }
}
