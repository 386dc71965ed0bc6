<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Access\Viewer;
use Telamon\Clients\Client;
use Telamon\Clients\ClientSection;
use Telamon\Projects\Project;
use Telamon\Projects\ProjectSection;
use Telamon\Staff\Permission;

/** The messages to a client, or of a project, for its page. */
final readonly class MessagesOfRecords implements ClientSection, ProjectSection
{
    private const RECENT = 40;

    public function __construct(private EntityManagerInterface $em, private MessageView $view, private Viewer $viewer)
    {
    }

    public static function name(): string
    {
        return 'messages';
    }

    public function ofClient(Client $client): array
    {
        return $this->of(['client' => $client]);
    }

    public function ofProject(Project $project): array
    {
        return $this->of(['project' => $project]);
    }

    /**
     * @param array<string, object> $criteria
     *
     * @return list<array<string, mixed>> as MessageRow in the contract
     */
    private function of(array $criteria): array
    {
        return !$this->viewer->may(Permission::Message) ? [] : array_map($this->view->row(...), $this->em->getRepository(Message::class)->findBy($criteria, ['queuedAt' => 'DESC'], self::RECENT));
    }
}
