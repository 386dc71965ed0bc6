<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Arrivals\SubmissionView;
use Telamon\Business\BusinessFacts;
use Telamon\Business\OwnFields;
use Telamon\Files\Attachment;
use Telamon\Messages\Message;
use Telamon\Messages\MessageView;
use Telamon\Projects\Project;
use Telamon\Projects\ProjectView;
use Telamon\Record\RecordRef;
use Telamon\Submissions\Submission;

/** Shows a client with all that hangs on it, as Client in the contract. */
final readonly class ClientView
{
    private const RECENT = 40;

    public function __construct(
        private EntityManagerInterface $em,
        private ProjectView $projects,
        private MessageView $messages,
        private SubmissionView $submissions,
        private OwnFields $fields,
        private BusinessFacts $facts,
    ) {
    }

    /** @return array<string, mixed> */
    public function whole(Client $client): array
    {
        $phones = $this->facts->phoneReader();

        return [
            'id' => $client->id,
            'mergedInto' => RecordRef::maybe($client->mergedInto),
            'name' => $client->name(),
            'givenName' => $client->givenName,
            'familyName' => $client->familyName,
            'organisation' => $client->organisation,
            'notes' => $client->notes,
            'tags' => $client->tags,
            'custom' => $this->fields->shown('client', $client->custom),
            'contacts' => array_map(static fn (Contact $contact): array => ['id' => $contact->id, 'name' => $contact->name, 'role' => $contact->role, 'email' => $contact->email, 'phone' => '' === $contact->phone ? '' : $phones->format($contact->phone)], $this->of(Contact::class, $client, 'id', 'ASC')),
            'address' => $client->address,
            'otherAddresses' => $client->otherAddresses,
            'owner' => $client->owner?->name,
            'since' => $client->since->format('Y-m-d'),
            'contactPoints' => array_values(array_map(static fn (ContactPoint $point): array => [
                'kind' => $point->kind->value,
                'value' => $point->value,
                'text' => ContactKind::Phone === $point->kind ? $phones->format($point->value) : $point->value,
            ], $client->contactPoints->toArray())),
            'assets' => array_map(fn (Asset $asset): array => $asset->toArray() + ['custom' => $this->fields->shown('asset', $asset->custom)], $this->of(Asset::class, $client, 'id', 'ASC')),
            'projects' => $this->projects->rows($this->of(Project::class, $client, 'openedAt')),
            'messages' => array_map($this->messages->row(...), $this->of(Message::class, $client, 'queuedAt')),
            'submissions' => array_map($this->submissions->row(...), $this->of(Submission::class, $client, 'receivedAt')),
            'files' => array_map(static fn (Attachment $file): array => $file->toArray(), $this->of(Attachment::class, $client, 'id')),
        ];
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     * @param 'ASC'|'DESC' $direction
     *
     * @return list<T>
     */
    private function of(string $class, Client $client, string $order, string $direction = 'DESC'): array
    {
        return $this->em->getRepository($class)->findBy(['client' => $client], [$order => $direction], self::RECENT);
    }
}
