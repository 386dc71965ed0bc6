<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Core\Time\DayWords;
use Telamon\Projects\Project;

/** What a message to a client may name of them and of their project. */
final readonly class ProjectFields implements GivesExamples
{
    private const MOST = 20;

    public function __construct(private EntityManagerInterface $em, private Profile $business, private ClockInterface $clock)
    {
    }

    /** @return array<string, string> by field, as TemplateFields names those of a client */
    public function of(?Client $client, ?Project $project, string $reference = ''): array
    {
        $today = $this->clock->now()->setTimezone($this->business->zone());

        return [
            'first_name' => $client->givenName ?? '',
            'client' => $client?->name() ?? '',
            'service' => $project->title ?? '',
            'service_words' => null === $project ? '' : $this->business->serviceWords($project->service),
            'asset' => $project->asset->description ?? $this->business->business()->assetWord,
            'place' => $project->asset->place ?? '',
            'project' => $project->number ?? '',
            'reference' => '' === $reference ? $project->number ?? '' : $reference,
            'lead' => $project->lead->name ?? $this->business->coordinator()->name,
            'coordinator' => $this->business->coordinator()->name,
            'ready_by' => null === $project?->readyBy ? '' : DayWords::short($project->readyBy, $today),
            // Whoever leads signs, where they have a signature of their own.
        ] + (null === $project || '' === trim($project->lead->signature) ? [] : ['signature' => $project->lead->signature]);
    }

    public function purpose(): Purpose
    {
        return Purpose::Client;
    }

    public function records(): array
    {
        /** @var list<Project> $projects */
        $projects = $this->em->createQueryBuilder()
            ->select('p', 'c')
            ->from(Project::class, 'p')
            ->join('p.client', 'c')
            ->orderBy('p.number', 'DESC')
            ->setMaxResults(self::MOST)
            ->getQuery()
            ->getResult();

        return array_map(
            static fn (Project $project): array => ['id' => $project->id, 'label' => "{$project->client->name()}, {$project->number}", 'path' => "/projects/{$project->id}"],
            $projects,
        );
    }

    public function values(string $id): ?array
    {
        $project = $this->em->find(Project::class, $id);

        return null === $project ? null : $this->of($project->client, $project);
    }
}
