<?php

declare(strict_types=1);

namespace Telamon\Arrivals;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Access\Viewer;
use Telamon\Clients\Client;
use Telamon\Clients\ClientSection;
use Telamon\Staff\Permission;
use Telamon\Submissions\Submission;

/** What a client sent, for their page. */
final readonly class SubmissionsOfClient implements ClientSection
{
    private const RECENT = 40;

    public function __construct(private EntityManagerInterface $em, private SubmissionView $view, private Viewer $viewer)
    {
    }

    public static function name(): string
    {
        return 'submissions';
    }

    public function ofClient(Client $client): array
    {
        return !$this->viewer->may(Permission::Decide) ? [] : array_map($this->view->row(...), $this->em->getRepository(Submission::class)->findBy(['client' => $client], ['receivedAt' => 'DESC'], self::RECENT));
    }
}
