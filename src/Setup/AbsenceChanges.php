<?php

declare(strict_types=1);

namespace Telamon\Setup;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Absence;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Adds and removes the days on which somebody is not there. */
final readonly class AbsenceChanges
{
    private const LONGEST = 730;
    private const MOST = 100;

    public function __construct(private EntityManagerInterface $em, private SetupActs $acts)
    {
    }

    /** @throws Refusal */
    public function add(Staff $of, Edit $edit, Staff $by): void
    {
        $first = $edit->day('first') ?? throw new InvalidInput('first', 'Choose the first day.');
        $last = $edit->day('last') ?? $first;
        if ($last < $first) {
            throw new InvalidInput('last', 'The last day lies before the first.');
        }
        if ($first->diff($last)->days >= self::LONGEST) {
            throw new InvalidInput('last', 'That is more than two years. Have them leave instead, and come back.');
        }
        $note = $edit->text('note', 100) ?? '';
        $this->acts->carryOut("{$of->name} is away from {$first->format('j F')}", $by, function () use ($of, $first, $last, $note): void {
            if ($this->em->getRepository(Absence::class)->count(['staff' => $of]) >= self::MOST) {
                throw new InvalidInput('first', 'There are '.self::MOST.' already. Remove old ones first.');
            }
            $this->em->persist(new Absence($of, $first, $last, $note));
        }, $of->id);
    }

    public function remove(Absence $absence, Staff $by): void
    {
        $this->acts->carryOut("{$absence->staff->name} is not away from {$absence->first->format('j F')}", $by, fn () => $this->em->remove($absence), $absence->staff->id);
    }
}
