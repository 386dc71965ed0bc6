<?php

declare(strict_types=1);

namespace Telamon\Matching;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Core\Answers\SubmissionReader;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Matching\Candidate;
use Telamon\Core\Matching\ClientMatcher;
use Telamon\Core\Matching\Directory;
use Telamon\Core\Matching\FieldWords;
use Telamon\Staff\Permission;

/** Who on file may be the same as somebody who is being written down: as a plan would find them. */
#[IsGranted(Permission::EditClients->value)]
final readonly class AlikeController
{
    private const MOST = 5;
    private const ASKED = [
        ['key' => 'name', 'type' => 'name-parts', 'destination' => 'client.name'],
        ['key' => 'email', 'type' => 'email', 'destination' => 'client.email'],
        ['key' => 'phone', 'type' => 'phone', 'destination' => 'client.phone'],
        ['key' => 'address', 'type' => 'address', 'destination' => 'client.address'],
    ];

    public function __construct(private SubmissionReader $reader, private ClientMatcher $matcher, private Directory $directory)
    {
    }

    #[Route('/api/alike', methods: ['GET'])]
    public function list(Request $request): Response
    {
        $said = static fn (string $name): string => mb_substr(mb_scrub($request->query->getString($name)), 0, 300);
        $answers = [
            'name' => ['given' => $said('givenName'), 'family' => $said('familyName')],
            'email' => $said('email'),
            'phone' => $said('phone'),
            'address' => $said('address'),
        ];
        $readings = $this->reader->read(FormDefinition::fromArray(['pages' => [['key' => 'p', 'questions' => self::ASKED]]]), $answers);
        $found = \array_slice($this->matcher->candidates($readings, $this->directory), 0, self::MOST);

        return new JsonResponse(['items' => array_map(static fn (Candidate $one): array => [
            'client' => ['kind' => 'client', 'id' => $one->client->id, 'label' => $one->client->name, 'path' => "/clients/{$one->client->id}"],
            'why' => trim(FieldWords::percent($one->judgement->probability).' one person: '.FieldWords::agreeing($one->judgement), ': '),
        ], $found)]);
    }
}
