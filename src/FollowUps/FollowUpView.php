<?php

declare(strict_types=1);

namespace Telamon\FollowUps;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Core\FollowUps\Course;
use Telamon\Diary\BookingPage;
use Telamon\Forms\Form;
use Telamon\Forms\PublishedForms;
use Telamon\Messages\MessageTemplate;
use Telamon\Messages\Purpose;
use Telamon\Record\RecordRef;
use Telamon\Submissions\Submission;

/** Shows follow-ups as the contract has them. */
final readonly class FollowUpView
{
    private const BACK = 90;
    private const MOST = 2000;
    private const SHOWN = 200;

    public function __construct(private EntityManagerInterface $em, private PublishedForms $forms, private Profile $business, private ClockInterface $clock)
    {
    }

    /** @return array<string, mixed> as FollowUpList in the contract */
    public function all(): array
    {
        $templates = array_values(array_filter(
            $this->em->getRepository(MessageTemplate::class)->findBy(['retired' => false], ['name' => 'ASC']),
            static fn (MessageTemplate $one): bool => Purpose::Client === $one->purpose(),
        ));

        return [
            'items' => array_map(fn (FollowUp $one): array => $this->row($one), $this->em->getRepository(FollowUp::class)->findBy([], ['name' => 'ASC'])),
            'templates' => array_map(static fn (MessageTemplate $one): array => ['value' => $one->key, 'label' => $one->name], $templates),
            'stages' => array_map(static fn (string $stage): array => ['value' => $stage, 'label' => $stage], $this->business->stages()),
            'pages' => array_map(
                static fn (BookingPage $page): array => ['value' => $page->slug, 'label' => $page->title],
                $this->em->getRepository(BookingPage::class)->findBy(['live' => true], ['title' => 'ASC']),
            ),
            'forms' => array_map(static fn (Form $form): array => ['value' => $form->slug, 'label' => $form->title], $this->forms->all()),
            'courses' => array_map(static fn (Course $course): array => ['value' => $course->value, 'label' => $course->words()], Course::cases()),
        ];
    }

    /** @return array<string, mixed> as FollowUp in the contract */
    public function whole(FollowUp $one): array
    {
        /** @var list<FollowUpRun> $runs */
        $runs = $this->em->createQueryBuilder()
            ->select('r', 'c')
            ->from(FollowUpRun::class, 'r')
            ->join('r.client', 'c')
            ->where('r.followUp = :one AND (r.startedAt >= :since OR r.state <> :ended)')
            ->setParameter('one', $one)->setParameter(
                'since',
                $this->clock->now()->modify('-'.self::BACK.' days'),
            )->setParameter('ended', RunState::Ended->value)->orderBy('r.startedAt', 'DESC')->setMaxResults(self::MOST)->getQuery()->getResult();

        $figures = new RunFigures($runs, $this->clock->now()->modify('-'.self::BACK.' days'), $this->clock->now());

        return $this->row($one) + [
            'courses' => $one->series()->toArray(),
            'runs' => array_map(
                $this->run(...),
                \array_slice(
                    [...array_filter($runs, static fn (FollowUpRun $run): bool => !$run->isOver()), ...array_filter($runs, static fn (FollowUpRun $run): bool => $run->isOver())],
                    0,
                    self::SHOWN,
                ),
            ),
            'figures' => $figures->steps(),
            'curve' => $figures->curve(),
        ];
    }

    /** @return array<string, mixed> as FollowUpRun in the contract */
    public function run(FollowUpRun $run): array
    {
        $zone = $this->business->zone();
        $time = static fn (?\DateTimeImmutable $at): ?string => $at?->setTimezone($zone)->format(\DATE_RFC3339);

        return [
            'id' => $run->id, 'followUp' => ['id' => $run->followUp->id, 'name' => $run->followUp->name], 'client' => RecordRef::of($run->client),
            'project' => RecordRef::maybe($run->project),
            'state' => $run->state->value, 'course' => $run->course->value, 'step' => $run->series()->at($run->stand())->key ?? '',
            'dueAt' => $time($run->dueAt), 'startedAt' => $time($run->startedAt), 'endedAt' => $time($run->endedAt),
            'startedBy' => $run->startedBy, 'why' => $run->why, 'waitsFor' => null === $run->waitsForSubmission
                ? null
                : RecordRef::maybe($this->em->find(Submission::class, $run->waitsForSubmission)), 'version' => $run->ofVersion, 'log' => $run->log,
        ];
    }

    /** @return array<string, mixed> as FollowUpRow in the contract */
    private function row(FollowUp $one): array
    {
        return [
            'id' => $one->id,
            'key' => $one->key,
            'name' => $one->name,
            'on' => $one->on,
            'version' => $one->version,
            'inside' => $this->em->getRepository(FollowUpRun::class)->count(['followUp' => $one, 'state' => [RunState::Inside, RunState::Paused]]),
        ];
    }
}
