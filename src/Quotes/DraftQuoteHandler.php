<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Clients\Client;
use Telamon\Core\Effects\DraftQuote;
use Telamon\Core\Plan\Effect;
use Telamon\Database\Ids;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;
use Telamon\Projects\Project;
use Telamon\Submissions\Submission;

/**
 * Drafts a quote as part of a plan; its lead is told.
 *
 * @implements EffectHandler<DraftQuote>
 */
final readonly class DraftQuoteHandler implements EffectHandler
{
    public function __construct(private EntityManagerInterface $em, private FromAnswers $answers, private QuoteWriting $writing)
    {
    }

    public static function of(): string
    {
        return DraftQuote::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        $project = $made->the(Project::class);
        $submission = null === $made->occasion ? null : $this->em->find(Submission::class, $made->occasion->id);

        return [$this->writing->made(Ids::next(), $made->the(Client::class), $project, $submission?->id, $this->answers->content($submission, $project->service), null)];
    }
}
