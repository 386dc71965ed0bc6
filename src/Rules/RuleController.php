<?php

declare(strict_types=1);

namespace Telamon\Rules;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Access\Staff;
use Telamon\Forms\Form;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Intake\PlanMaker;
use Telamon\Intake\Submission;
use Telamon\Setup\BusinessFacts;
use Telamon\Setup\ChecklistTemplate;

#[Route('/api/rules')]
#[IsGranted('ROLE_COORDINATOR')]
final readonly class RuleController
{
    private const ID = '[0-9a-f-]{36}';

    public function __construct(
        private EntityManagerInterface $em,
        private Connection $db,
        private RuleChanges $changes,
        private RuleBooks $books,
        private PlanMaker $plans,
        private LookBacks $looks,
        private BusinessFacts $facts,
    ) {
    }

    #[Route('', methods: ['GET'])]
    public function list(): Response
    {
        return $this->answer();
    }

    #[Route('', methods: ['POST'])]
    public function make(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $kept = $this->changes->make(JsonBody::read($request), $staff);

        return new JsonResponse($this->shown($kept, $this->uses()), 201);
    }

    #[Route('/{id}', requirements: ['id' => self::ID], methods: ['PUT'])]
    public function change(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $kept = $this->get($id);
        $this->changes->change($kept, JsonBody::read($request), $staff);

        return new JsonResponse($this->shown($kept, $this->uses()));
    }

    #[Route('/{id}/move', requirements: ['id' => self::ID], methods: ['POST'])]
    public function move(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $up = JsonBody::read($request)['up'] ?? null;
        $this->changes->move($this->get($id), \is_bool($up) ? $up : throw Problem::invalid('up', 'Say yes or no.'), $staff);

        return $this->answer();
    }

    #[Route('/{id}', requirements: ['id' => self::ID], methods: ['DELETE'])]
    public function retire(string $id, #[CurrentUser] Staff $staff): Response
    {
        $this->changes->retire($this->get($id), $staff);

        return $this->answer();
    }

    /** The plan of a submission with and without a rule that is being edited. Nothing is saved. */
    #[Route('/dry-run', methods: ['POST'])]
    public function dryRun(Request $request): Response
    {
        $body = JsonBody::read($request);
        $given = \is_array($body['rule'] ?? null) ? $body['rule'] : throw Problem::invalid('rule', 'Send the rule.');
        $submission = $this->em->find(Submission::class, JsonBody::text($body, 'submission', 36)) ?? throw Problem::invalid('submission', 'Choose a submission.');
        $rule = $this->changes->check($given, \is_string($given['id'] ?? null) && '' !== $given['id'] ? $given['id'] : 'new');
        $with = $this->plans->withBook($submission, $this->books->book($rule));
        $without = $this->plans->withBook($submission, $this->books->book($rule, true));

        return new JsonResponse(['holds' => \in_array($rule, $with->outcome->rules, true), 'with' => $with->toArray(), 'without' => $without->toArray()]);
    }

    #[Route('/look-backs', methods: ['POST'])]
    public function lookBack(Request $request): Response
    {
        $body = JsonBody::read($request);
        $given = \is_array($body['rule'] ?? null) ? $body['rule'] : throw Problem::invalid('rule', 'Send the rule.');
        $days = $body['days'] ?? null;
        if (!\in_array($days, [30, 90, 365], true)) {
            throw Problem::invalid('days', 'Choose 30, 90 or 365 days.');
        }
        $this->changes->check($given);
        $named = [];
        foreach ($given as $name => $value) {
            $named[(string) $name] = $value;
        }

        return new JsonResponse($this->looks->start($named, $days)->toArray(), 201);
    }

    #[Route('/look-backs/{id}', requirements: ['id' => self::ID], methods: ['GET'])]
    public function showLookBack(string $id): Response
    {
        return new JsonResponse(($this->em->find(LookBack::class, $id) ?? throw Problem::notFound('look-back'))->toArray());
    }

    #[Route('/look-backs/{id}/cancel', requirements: ['id' => self::ID], methods: ['POST'])]
    public function cancelLookBack(string $id): Response
    {
        $look = $this->em->wrapInTransaction(function () use ($id): LookBack {
            $look = $this->em->find(LookBack::class, $id) ?? throw Problem::notFound('look-back');
            $this->em->refresh($look);
            if (LookBack::RUNNING === $look->state) {
                $look->state = LookBack::CANCELLED;
            }

            return $look;
        });

        return new JsonResponse($look->toArray());
    }

    private function answer(): Response
    {
        $uses = $this->uses();
        $forms = array_values(array_filter($this->em->getRepository(Form::class)->findBy([], ['title' => 'ASC']), static fn (Form $form): bool => null !== $form->published));

        return new JsonResponse([
            'items' => array_map(fn (HandlingRule $kept): array => $this->shown($kept, $uses), $this->em->getRepository(HandlingRule::class)->findBy(['retired' => false], ['position' => 'ASC', 'id' => 'ASC'])),
            'offers' => [
                'staff' => array_map(static fn (Staff $member): array => ['value' => $member->id, 'label' => $member->name], $this->em->getRepository(Staff::class)->findBy([], ['name' => 'ASC'])),
                'checklists' => array_map(static fn (ChecklistTemplate $list): array => ['value' => $list->id, 'label' => $list->name], $this->em->getRepository(ChecklistTemplate::class)->findBy(['isBase' => false], ['name' => 'ASC'])),
                'forms' => array_map(static fn (Form $form): array => ['value' => $form->slug, 'label' => $form->title], $forms),
                'questions' => self::questions($forms),
                'stages' => array_map(static fn (string $stage): array => ['value' => $stage, 'label' => $stage], $this->facts->stages()),
            ],
        ]);
    }

    /**
     * What the published forms ask, each key once, with the forms that ask it.
     *
     * @param list<Form> $forms
     *
     * @return list<array{key: string, wording: string, type: string, options: list<array{value: string, label: string}>, forms: list<string>}>
     */
    private static function questions(array $forms): array
    {
        $questions = [];
        foreach ($forms as $form) {
            foreach ($form->published?->definition()->questions() ?? [] as $question) {
                if ($question->type->asks()) {
                    $questions[$question->key] ??= ['key' => $question->key, 'wording' => $question->wording, 'type' => $question->type->value, 'options' => [], 'forms' => []];
                    $questions[$question->key]['forms'][] = $form->slug;
                    foreach ($question->options as $option) {
                        $questions[$question->key]['options'][$option->value] ??= ['value' => $option->value, 'label' => $option->label];
                    }
                }
            }
        }

        return array_values(array_map(static fn (array $question): array => ['options' => array_values($question['options'])] + $question, $questions));
    }

    /**
     * @param array<string, array{times: int, last: string|null, failures: int}> $uses
     *
     * @return array<string, mixed>
     */
    private function shown(HandlingRule $kept, array $uses): array
    {
        return $kept->toArray() + ($uses[$kept->id] ?? ['times' => 0, 'last' => null, 'failures' => 0]);
    }

    /** @return array<string, array{times: int, last: string|null, failures: int}> how often, when last, by rule; those taken back do not count */
    private function uses(): array
    {
        $uses = [];
        foreach ($this->db->iterateAssociative("SELECT rule_id, COUNT(*) AS times, MAX(at) AS last, SUM(failure <> '') AS failures FROM rule_use u JOIN submission s ON s.id = u.submission_id AND s.state = 'accepted' GROUP BY rule_id") as $row) {
            if (\is_string($row['rule_id']) && \is_string($row['last'])) {
                $uses[$row['rule_id']] = [
                    'times' => is_numeric($row['times']) ? (int) $row['times'] : 0,
                    'last' => (new \DateTimeImmutable($row['last'], new \DateTimeZone('UTC')))->setTimezone($this->facts->zone())->format(\DATE_RFC3339),
                    'failures' => is_numeric($row['failures']) ? (int) $row['failures'] : 0,
                ];
            }
        }

        return $uses;
    }

    private function get(string $id): HandlingRule
    {
        $kept = $this->em->find(HandlingRule::class, $id);

        return null === $kept || $kept->retired ? throw Problem::notFound('rule') : $kept;
    }
}
