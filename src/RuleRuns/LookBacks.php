<?php

declare(strict_types=1);

namespace Telamon\RuleRuns;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;
use Symfony\Component\Messenger\MessageBusInterface;
use Telamon\Core\Rules\Rule;
use Telamon\Core\Rules\RuleReader;
use Telamon\Submissions\PastCircumstances;

/** Looks back over past submissions with a rule, some thousand at a time, so that it can be watched and stopped. */
final readonly class LookBacks
{
    private const AT_ONCE = 2000;
    private const EXAMPLES = 500;

    public function __construct(
        private EntityManagerInterface $em,
        private Connection $db,
        private RuleReader $reader,
        private PastCircumstances $past,
        private MessageBusInterface $bus,
        private ClockInterface $clock,
    ) {
    }

    /** @param array<string, mixed> $rule as the contract has it, checked */
    public function start(array $rule, int $days): LookBack
    {
        $now = $this->clock->now();
        $since = $now->modify("-$days days")->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s');
        $forms = $this->reader->read('look', $rule)->forms;
        $total = [] === $forms
            ? $this->db->fetchOne('SELECT COUNT(*) FROM submission WHERE received_at >= ?', [$since])
            : $this->db->fetchOne(
                'SELECT COUNT(*) FROM submission WHERE received_at >= ? AND form_id IN (SELECT id FROM form WHERE slug IN (?))',
                [$since, $forms],
                [1 => ArrayParameterType::STRING],
            );
        $look = new LookBack($rule, $days, is_numeric($total) ? (int) $total : 0, $now);
        $this->em->wrapInTransaction(function () use ($look): void {
            $this->em->persist($look);
            $this->bus->dispatch(new LookBackJob($look->id));
        });

        return $look;
    }

    /** Reads outside of any transaction, so that nobody waits for it; what was found is written in one that is short. */
    #[AsMessageHandler]
    public function goOn(LookBackJob $job): void
    {
        $look = $this->em->find(LookBack::class, $job->id);
        if (null === $look) {
            return;
        }
        $this->em->refresh($look);
        if (LookBack::RUNNING !== $look->state) {
            return;
        }
        $from = $look->done;
        [$seen, $touched, $examples] = $this->stretch($look, $this->reader->read('look', $look->rule));
        $this->em->wrapInTransaction(function () use ($look, $job, $from, $seen, $touched, $examples): void {
            $this->em->refresh($look);
            // Stopped meanwhile, or done by another that took it up.
            if (LookBack::RUNNING !== $look->state || $look->done !== $from) {
                return;
            }
            $look->see($seen, $touched, \array_slice([...$look->examples, ...$examples], 0, self::EXAMPLES));
            if ($seen < self::AT_ONCE) {
                $look->end();
            } else {
                $this->bus->dispatch($job);
            }
        });
    }

    /** @return array{int, int, list<array{id: string, label: string, at: string}>} how many were looked at, how many it would have touched, and the first of those */
    private function stretch(LookBack $look, Rule $rule): array
    {
        $since = $look->at->modify("-{$look->days} days");
        [$seen, $touched, $examples] = [0, 0, []];
        foreach ($this->past->since($since, $look->at, $look->done, self::AT_ONCE, $rule->forms) as [$facts, $id, $label, $at]) {
            ++$seen;
            if ($rule->appliesTo($facts)) {
                ++$touched;
                if (\count($examples) < self::EXAMPLES) {
                    $examples[] = ['id' => $id, 'label' => $label, 'at' => $at];
                }
            }
        }

        return [$seen, $touched, $examples];
    }
}
