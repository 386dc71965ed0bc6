<?php

declare(strict_types=1);

namespace Telamon\Rules;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;
use Symfony\Component\Messenger\MessageBusInterface;
use Telamon\Core\Rules\Rule;
use Telamon\Core\Rules\RuleReader;
use Telamon\Intake\PastFacts;

/** Looks back over past submissions with a rule, some thousand at a time, so that it can be watched and stopped. */
final readonly class LookBacks
{
    private const AT_ONCE = 2000;
    private const EXAMPLES = 500;

    public function __construct(
        private EntityManagerInterface $em,
        private Connection $db,
        private RuleReader $reader,
        private PastFacts $past,
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
            : $this->db->fetchOne('SELECT COUNT(*) FROM submission WHERE received_at >= ? AND form_id IN (SELECT id FROM form WHERE slug IN (?))', [$since, $forms], [1 => ArrayParameterType::STRING]);
        $look = new LookBack($rule, $days, is_numeric($total) ? (int) $total : 0, $now);
        $this->em->wrapInTransaction(function () use ($look): void {
            $this->em->persist($look);
            $this->bus->dispatch(new LookBackJob($look->id));
        });

        return $look;
    }

    #[AsMessageHandler]
    public function goOn(LookBackJob $job): void
    {
        $this->em->wrapInTransaction(function () use ($job): void {
            $look = $this->em->find(LookBack::class, $job->id);
            if (null === $look) {
                return;
            }
            $this->em->refresh($look);
            if (LookBack::RUNNING !== $look->state) {
                return;
            }
            $this->stretch($look, $this->reader->read('look', $look->rule));
            if (LookBack::RUNNING === $look->state) {
                $this->bus->dispatch($job);
            }
        });
    }

    private function stretch(LookBack $look, Rule $rule): void
    {
        $since = $look->at->modify("-{$look->days} days");
        $seen = 0;
        $examples = $look->examples;
        foreach ($this->past->since($since, $look->at, $look->done, self::AT_ONCE, $rule->forms) as [$facts, $id, $label, $at]) {
            ++$seen;
            if ($rule->appliesTo($facts)) {
                ++$look->touched;
                if (\count($examples) < self::EXAMPLES) {
                    $examples[] = ['id' => $id, 'label' => $label, 'at' => $at];
                }
            }
        }
        $look->examples = $examples;
        $look->done += $seen;
        if ($seen < self::AT_ONCE) {
            $look->state = LookBack::DONE;
        }
    }
}
