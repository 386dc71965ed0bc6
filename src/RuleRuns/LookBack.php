<?php

declare(strict_types=1);

namespace Telamon\RuleRuns;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Core\Rules\Actions;
use Telamon\Core\Rules\InvalidRule;
use Telamon\Database\Ids;

/** What a rule would have done over the last days: counted in the background, as the rule was when asked. */
#[ORM\Entity]
class LookBack
{
    public const RUNNING = 'running';
    public const DONE = 'done';
    public const CANCELLED = 'cancelled';

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 10)]
    public string $state = self::RUNNING;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column]
    public int $done = 0;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column]
    public int $touched = 0;

    /**
     * @var list<array{id: string, label: string, at: string}> the newest of those it would have touched
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json')]
    public array $examples = [];

    /** @param array<string, mixed> $rule as it was when asked */
    public function __construct(
        #[ORM\Column(type: 'json')]
        public readonly array $rule,
        #[ORM\Column]
        public readonly int $days,
        #[ORM\Column]
        public readonly int $total,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $at,
    ) {
        $this->id = Ids::next();
    }

    /** @param list<array{id: string, label: string, at: string}> $examples */
    public function see(int $seen, int $touched, array $examples): void
    {
        $this->done += $seen;
        $this->touched += $touched;
        $this->examples = $examples;
    }

    public function end(): void
    {
        $this->state = self::DONE;
    }

    public function cancel(): void
    {
        $this->state = self::CANCELLED;
    }

    /** @return array<string, mixed> as LookBack in the contract */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'state' => $this->state,
            'days' => $this->days,
            'total' => $this->total,
            'done' => $this->done,
            'touched' => $this->touched,
            'lines' => $this->lines(),
            'examples' => $this->examples,
        ];
    }

    /** @return list<string> what it would have added to each, in words */
    private function lines(): array
    {
        $then = \is_array($this->rule['then'] ?? null) ? $this->rule['then'] : [];

        return array_values(array_map(static function (mixed $action): string {
            try {
                return \is_array($action) ? Actions::read($action, 'then')->words() : '';
            } catch (InvalidRule) {
                return '';
            }
        }, $then));
    }
}
