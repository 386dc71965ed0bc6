<?php

declare(strict_types=1);

namespace Telamon\Setup;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Closure;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Adds, moves and removes the days on which the business does not work. */
final readonly class ClosureChanges
{
    private const LONGEST = 92;

    public function __construct(private EntityManagerInterface $em, private SetupActs $acts)
    {
    }

    /** @throws Refusal */
    public function add(Edit $edit, Staff $staff): void
    {
        [$from, $name] = [self::day($edit, 'day'), self::named($edit)];
        $until = '' === ($edit->text('until', 10) ?? '') ? $from : self::day($edit, 'until');
        if ($until < $from) {
            throw new InvalidInput('until', 'The last day lies before the first.');
        }
        if ($from->diff($until)->days >= self::LONGEST) {
            throw new InvalidInput('until', 'Close for '.self::LONGEST.' days at most; add it in parts.');
        }
        $this->acts->carryOut("closed for $name", $staff, function () use ($from, $until, $name): void {
            $added = 0;
            for ($day = $from; $day <= $until; $day = $day->modify('+1 day')) {
                if (null === $this->on($day)) {
                    $this->em->persist(new Closure($day, $name));
                    ++$added;
                }
            }
            if (0 === $added) {
                throw new InvalidInput('day', 'It is closed then already.');
            }
        });
    }

    /** @throws Refusal */
    public function change(Closure $closure, Edit $edit, Staff $staff): void
    {
        [$day, $name] = [self::day($edit, 'day'), self::named($edit)];
        $this->acts->carryOut("closed for $name", $staff, function () use ($closure, $day, $name): void {
            $there = $this->on($day);
            if (null !== $there && $there !== $closure) {
                throw new InvalidInput('day', "It is closed then already: {$there->name}.");
            }
            $closure->become($day, $name);
        }, $closure->id);
    }

    public function remove(Closure $closure, Staff $staff): void
    {
        $this->acts->carryOut("removed {$closure->recordLabel()}", $staff, fn () => $this->em->remove($closure), $closure->id);
    }

    private function on(\DateTimeImmutable $day): ?Closure
    {
        return $this->em->getRepository(Closure::class)->findOneBy(['day' => $day]);
    }

    private static function named(Edit $edit): string
    {
        $name = $edit->text('name', 100) ?? '';

        return '' === $name ? throw new InvalidInput('name', 'Say what it is, such as Christmas or stocktaking.') : $name;
    }

    private static function day(Edit $edit, string $field): \DateTimeImmutable
    {
        return $edit->day($field) ?? throw new InvalidInput($field, 'Choose a day.');
    }
}
