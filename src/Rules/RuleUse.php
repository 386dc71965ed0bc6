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

    /** @param string $failure what it named and was there no more; empty where all was done */
    public function __construct(
        #[ORM\Column(length: 36)]
        public readonly string $ruleId,
        #[ORM\Column(length: 36)]
        public readonly string $submissionId,
        #[ORM\Column]
        public \DateTimeImmutable $at,
        #[ORM\Column(length: 300)]
        public readonly string $failure,
    ) {
        $this->id = Ids::next();
    }
}
