<?php

declare(strict_types=1);

namespace Telamon\Intake;

use Doctrine\ORM\EntityManagerInterface;
use Doctrine\ORM\QueryBuilder;
use Symfony\Component\HttpFoundation\Request;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\QuestionType;
use Telamon\Forms\Form;
use Telamon\Forms\FormVersion;
use Telamon\Http\Cursor;
use Telamon\Http\Page;
use Telamon\Http\Query;
use Telamon\Setup\BusinessFacts;

/** What came through one form, with its questions as columns across all its versions. */
final readonly class FormTable
{
    public function __construct(private EntityManagerInterface $em, private BusinessFacts $facts)
    {
    }

    /** @return array{columns: list<array{key: string, wording: string}>, items: list<array<string, mixed>>, next: string|null} as FormTable in the contract */
    public function page(Form $form, Request $request): array
    {
        $query = $this->query($form, $request)->setMaxResults(Page::SIZE + 1);
        $cursor = Cursor::from($request);
        if (null !== $cursor) {
            $query->andWhere('s.receivedAt < :value OR (s.receivedAt = :value AND s.id < :id)')->setParameter('value', $cursor->value)->setParameter('id', $cursor->id);
        }
        /** @var list<Submission> $found */
        $found = $query->getQuery()->getResult();
        [$page, $next] = Page::cut($found, static fn (Submission $s): Cursor => new Cursor($s->receivedAt->format('Y-m-d H:i:s'), $s->id));
        $columns = $this->columns($form);

        return [
            'columns' => array_map(static fn (string $key, Question $question): array => ['key' => $key, 'wording' => $question->wording], array_keys($columns), array_values($columns)),
            'items' => array_map(fn (Submission $s): array => $this->row($s, $columns), $page),
            'next' => $next,
        ];
    }

    /**
     * All that the filters let through, one at a time, so that a long table costs no more memory than a short one.
     *
     * @return iterable<array<string, mixed>>
     */
    public function all(Form $form, Request $request): iterable
    {
        $columns = $this->columns($form);
        foreach ($this->query($form, $request)->getQuery()->toIterable() as $i => $submission) {
            if ($submission instanceof Submission) {
                yield $this->row($submission, $columns);
                $this->em->detach($submission);
            }
        }
    }

    /** @return array<string, Question> by key, in the order of the newest version that has it */
    public function columns(Form $form): array
    {
        $columns = [];
        foreach ($this->em->getRepository(FormVersion::class)->findBy(['form' => $form], ['number' => 'DESC']) as $version) {
            foreach ($version->definition()->questions() as $question) {
                if (QuestionType::Statement !== $question->type) {
                    $columns[$question->key] ??= $question;
                }
            }
        }

        return $columns;
    }

    private function query(Form $form, Request $request): QueryBuilder
    {
        $query = $this->em->createQueryBuilder()->select('s')->from(Submission::class, 's')
            ->where('s.formVersion IN (:versions)')->setParameter('versions', $this->em->getRepository(FormVersion::class)->findBy(['form' => $form]))
            ->orderBy('s.receivedAt', 'DESC')->addOrderBy('s.id', 'DESC');
        $state = Query::oneOf($request, 'state', array_column(SubmissionState::cases(), 'value'));
        if (null !== $state) {
            $query->andWhere('s.state = :state')->setParameter('state', $state);
        }
        foreach (Query::words($request) as $i => $like) {
            $query->andWhere("LOWER(s.answers) LIKE :w$i ESCAPE '\\' OR LOWER(s.number) LIKE :w$i ESCAPE '\\'")->setParameter("w$i", self::inJson($like));
        }

        return $query;
    }

    /** Answers are kept as JSON, in which quotes and backslashes are written with a backslash. */
    private static function inJson(string $like): string
    {
        $word = str_replace(['\\\\', '\\%', '\\_'], ['\\', '%', '_'], substr($like, 1, -1));

        return '%'.addcslashes(substr(json_encode($word, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE), 1, -1), '\\%_').'%';
    }

    /**
     * @param array<string, Question> $columns
     *
     * @return array<string, mixed>
     */
    private function row(Submission $submission, array $columns): array
    {
        $answers = [];
        foreach ($columns as $key => $question) {
            $answer = $submission->answers[$key] ?? '';
            $answers[$key] = match (true) {
                \is_string($answer) => $question->labelOf($answer),
                QuestionType::Files === $question->type && \is_array($answer) => \count($answer).(1 === \count($answer) ? ' file' : ' files'),
                \is_array($answer) => implode(', ', array_map($question->labelOf(...), array_filter($answer, \is_string(...)))),
                default => '',
            };
        }

        return [
            'id' => $submission->id,
            'number' => $submission->number,
            'state' => $submission->state->value,
            'receivedAt' => $submission->receivedAt->setTimezone($this->facts->zone())->format(\DATE_RFC3339),
            'version' => $submission->formVersion->number,
            'answers' => (object) $answers,
        ];
    }
}
