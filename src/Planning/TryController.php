<?php

declare(strict_types=1);

namespace Telamon\Planning;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Business\Profile;
use Telamon\Core\Answers\AnswerCheck;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\InvalidDefinition;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\Violation;
use Telamon\Forms\Draft;
use Telamon\Forms\Form;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Record\Records;
use Telamon\Staff\Permission;

/** Tries a form that is being designed: what its answers would lead to. Nothing is made. */
#[IsGranted(Permission::Design->value)]
final readonly class TryController
{
    public function __construct(
        private EntityManagerInterface $em,
        private Draft $drafts,
        private AnswerCheck $check,
        private PlanMaker $plans,
        private Records $records,
        private Profile $business,
        private ClockInterface $clock,
    ) {
    }

    #[Route('/api/forms/{id}/try', requirements: ['id' => '[0-9a-f-]{36}'], methods: ['POST'])]
    public function plan(string $id, Request $request): Response
    {
        $of = $this->em->find(Form::class, $id) ?? throw Problem::notFound('form');
        $draft = $this->drafts->of($of);
        $slug = $of->slug;
        $answers = JsonBody::read($request)['answers'] ?? null;
        if (!\is_array($answers)) {
            throw Problem::invalid('answers', 'Send the answers by question key.');
        }
        try {
            $form = FormDefinition::fromArray($draft->definition);
        } catch (InvalidDefinition $error) {
            throw Problem::invalid('definition', $error->getMessage());
        }
        // What cannot be tried here, nobody is asked for: files and signatures.
        $untried = array_map(
            static fn (Question $question): string => $question->key,
            array_filter($form->questions(), static fn (Question $question): bool => $question->type->files() > 0),
        );
        $violations = array_values(array_filter(
            $this->check->check($form, $answers, $this->clock->now()->setTimezone($this->business->zone()), true),
            static fn (Violation $violation): bool => !\in_array(explode('.', $violation->path)[0], $untried, true),
        ));
        if ([] !== $violations) {
            throw new Problem(
                422,
                'Some answers need another look',
                'Nothing was tried yet.',
                array_map(static fn (Violation $v): array => ['path' => $v->path, 'message' => $v->message], $violations),
            );
        }

        return new JsonResponse($this->records->linked($this->plans->dryRun($form, $answers, $slug)->toArray()));
    }
}
