<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Clients\Client;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Messages\Incoming;
use Telamon\Messages\IncomingState;
use Telamon\Messages\Message;
use Telamon\Messages\MessageTemplate;
use Telamon\Messages\MessageView;
use Telamon\Messages\WritingByHand;
use Telamon\Projects\Project;
use Telamon\Record\Edit;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;
use Telamon\Submissions\Submission;

/** Letters by hand: to a client, about a project, as the answer to a message or to an arrival. */
#[IsGranted(Permission::Write->value)]
final readonly class WriteController
{
    public function __construct(
        private EntityManagerInterface $em,
        private WritingByHand $writing,
        private MessageView $view,
        private LetterFiles $files,
        private TemplateByHand $templates,
        private ClockInterface $clock,
    ) {
    }

    #[Route('/api/messages/{id}', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['PUT'])]
    public function write(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $body = JsonBody::read($request);
        $project = $this->find(Project::class, $body, 'project');
        $answers = $this->find(Incoming::class, $body, 'answers');
        $submission = $this->find(Submission::class, $body, 'submission');
        $client = $this->find(Client::class, $body, 'client') ?? $project->client ?? $answers?->client;
        $client = $client->mergedInto ?? $client;
        $edit = new Edit($body);
        $template = $this->find(MessageTemplate::class, $body, 'template');
        $message = $this->writing->write($id, $edit, $client, $project ?? $answers?->project, $answers, $submission?->id, $staff, function (Message $message) use ($edit, $template, $submission, $answers, $staff): void {
            $this->files->enclose($message, $edit, $template);
            // Whoever is answered is not owed an answer any more.
            if (null !== $submission && null === $submission->answeredAt) {
                $submission->answer($staff, $this->clock->now());
            }
            if (null !== $answers && IncomingState::Open === $answers->state) {
                $answers->beDone(IncomingState::Done, ["answered by {$staff->name}"]);
            }
        });

        return new JsonResponse($this->view->whole($message), 201);
    }

    /** What a template comes to for whoever is written to. */
    #[Route('/api/templates/{id}/by-hand', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['POST'])]
    public function begin(string $id, Request $request): Response
    {
        $body = JsonBody::read($request);
        $template = $this->em->find(MessageTemplate::class, $id) ?? throw Problem::notFound('template');
        $project = $this->find(Project::class, $body, 'project');
        $answers = $this->find(Incoming::class, $body, 'answers');
        $client = $this->find(Client::class, $body, 'client') ?? $project->client ?? $answers?->client;

        return new JsonResponse($this->templates->begin(
            $template,
            $client->mergedInto ?? $client,
            $project ?? $answers?->project,
            $this->find(Submission::class, $body, 'submission'),
            $answers,
        ));
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     * @param array<array-key, mixed> $body
     *
     * @return T|null null where none is named
     */
    private function find(string $class, array $body, string $field): ?object
    {
        $id = $body[$field] ?? null;
        if (!\is_string($id) || '' === $id) {
            return null;
        }

        return $this->em->find($class, $id) ?? throw Problem::notFound($field);
    }
}
