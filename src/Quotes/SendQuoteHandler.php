<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Effects\SendQuote;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\Making;
use Telamon\Effects\MayComeToNothing;
use Telamon\Projects\Project;

/**
 * Sends the quote that is drafted for the project, where nothing is missing in it.
 *
 * @implements MayComeToNothing<SendQuote>
 */
final readonly class SendQuoteHandler implements MayComeToNothing
{
    public function __construct(private EntityManagerInterface $em, private QuoteSending $sending)
    {
    }

    public static function of(): string
    {
        return SendQuote::class;
    }

    public function against(Effect $effect, Making $made): string
    {
        $project = $made->find(Project::class);
        $draft = null === $project ? null : $this->draft($project);
        if (null === $draft) {
            $out = null === $project
                ? null
                : $this->em->getRepository(Quote::class)->findOneBy(
                    ['project' => $project, 'state' => [QuoteState::Sent, QuoteState::Opened, QuoteState::Accepted]],
                    ['sentAt' => 'DESC'],
                );

            return null === $out ? 'no quote sent, as none is drafted' : "no quote sent, as they have {$out->shown()} already";
        }
        $against = $this->sending->against($draft);

        return null === $against ? '' : "{$draft->shown()} not sent: {$against->getMessage()}";
    }

    public function write(Effect $effect, Making $made): array
    {
        $draft = $this->draft($made->the(Project::class));

        return null === $draft ? [] : [$this->sending->leave($draft)];
    }

    private function draft(Project $project): ?Quote
    {
        $draft = $this->em->getRepository(Quote::class)->findOneBy(['project' => $project, 'state' => QuoteState::Draft], ['id' => 'DESC']);
        if (null !== $draft) {
            // A worker that has seen it before has it as it was then.
            $this->em->refresh($draft);
        }

        return $draft;
    }
}
