<?php

declare(strict_types=1);

namespace Telamon\Rules;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;

/** That a rule had its part in a plan that was accepted. */
#[ORM\Entity]
#[ORM\Index(columns: ['rule_id', 'at'])]
class RuleUse
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /**
     * @param string $changeId of what was written with it: taken back, it does not count
     * @param string $recordKind what it was done to: a submission, a project
     * @param string $failure what it named and was there no more; empty where all was done
     */
    public function __construct(
        #[ORM\Column(length: 36)]
        public readonly string $ruleId,
        #[ORM\Column(length: 36)]
        public readonly string $recordId,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $at,
        #[ORM\Column(length: 300)]
        public readonly string $failure,
        #[ORM\Column(length: 36, options: ['default' => ''])]
        public readonly string $changeId,
        #[ORM\Column(length: 20, options: ['default' => 'submission'])]
        public readonly string $recordKind,
        #[ORM\Column(length: 300, options: ['default' => ''])]
        public readonly string $recordLabel,
    ) {
        $this->id = Ids::next();
    }
}
