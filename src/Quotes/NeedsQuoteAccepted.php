<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Projects\Project;
use Telamon\Projects\StageNeed;

final readonly class NeedsQuoteAccepted implements StageNeed
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public static function key(): string
    {
        return 'quote';
    }

    public static function words(): string
    {
        return 'the quote accepted';
    }

    public function isMet(Project $project): bool
    {
        return null !== $this->em->getRepository(Quote::class)->findOneBy(['project' => $project, 'state' => QuoteState::Accepted]);
    }
}
