<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Clients\ContactKind;
use Telamon\Core\Effects\AskToSign;
use Telamon\Core\Plan\Effect;
use Telamon\Database\Ids;
use Telamon\Effects\Making;
use Telamon\Effects\MayComeToNothing;
use Telamon\Projects\Project;

/**
 * Sends the business's agreement for signature, once for a project.
 *
 * @implements MayComeToNothing<AskToSign>
 */
final readonly class AskToSignHandler implements MayComeToNothing
{
    public function __construct(private EntityManagerInterface $em, private Agreements $agreements)
    {
    }

    public static function of(): string
    {
        return AskToSign::class;
    }

    public function against(Effect $effect, Making $made): string
    {
        $project = $made->find(Project::class);
        $there = null === $project
            ? null
            : $this->em->getRepository(Agreement::class)->findOneBy(['project' => $project, 'state' => [AgreementState::Sent, AgreementState::Signed]]);

        return match (true) {
            null === $project => 'no agreement sent, as there is no project',
            null !== $there => AgreementState::Signed === $there->state ? 'no agreement sent, as one is signed' : 'no agreement sent: one is out to be signed',
            '' === ($project->client->first(ContactKind::Email) ?? '') => "no agreement sent, as {$project->client->name()} has no mail address",
            '' === $this->agreements->draft($project)['text'] => 'no agreement sent, as its template is empty',
            default => '',
        };
    }

    public function write(Effect $effect, Making $made): array
    {
        $project = $made->the(Project::class);
        $draft = $this->agreements->draft($project);

        return [$this->agreements->leave(Ids::next(), $project, $draft['title'], $draft['text'])];
    }
}
