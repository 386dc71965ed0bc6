<?php

declare(strict_types=1);

namespace Telamon\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Mailer\Exception\TransportExceptionInterface;
use Symfony\Component\Messenger\Envelope;
use Symfony\Component\Messenger\Transport\Receiver\ReceiverInterface;
use Symfony\Component\Messenger\Transport\Sender\SenderInterface;
use Telamon\Arrivals\Handling;
use Telamon\Business\StageEnd;
use Telamon\Files\FileStore;
use Telamon\Files\Upload;
use Telamon\Forms\PublishedForms;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Messages\Message;
use Telamon\Messages\SendMessage;
use Telamon\Messages\SendMessageHandler;
use Telamon\Planning\Acceptor;
use Telamon\Planning\LookAheadHandler;
use Telamon\Planning\PlanMaker;
use Telamon\Projects\Project;
use Telamon\Staff\Staff;
use Telamon\Submissions\Arriving;
use Telamon\Submissions\KeepSheet;
use Telamon\Submissions\LookAhead;
use Telamon\Submissions\Receiver;
use Telamon\Submissions\Submission;
use Telamon\Submissions\SubmissionState;
use Telamon\Tasks\Task;

/** Does in the demo's past what people and the worker do today, through the same doors. */
final readonly class DemoOffice
{
    public function __construct(
        private EntityManagerInterface $em,
        private PublishedForms $forms,
        private Receiver $receiver,
        private PlanMaker $plans,
        private Acceptor $acceptor,
        private Changes $changes,
        private SendMessageHandler $sender,
        private LookAheadHandler $looker,
        private FileStore $store,
        #[Autowire(service: 'messenger.transport.outbox')]
        private ReceiverInterface $outbox,
        #[Autowire(service: 'messenger.transport.ahead')]
        private ReceiverInterface $ahead,
        #[Autowire(service: 'messenger.transport.failed')]
        private SenderInterface $failed,
        private DemoTimeline $timeline,
        private Handling $handling,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param array<string, mixed> $answers
     * @param list<array{path: string, name: string}> $files
     *
     * @return string the submission's id
     */
    public function receive(string $form, array $answers, array $files): string
    {
        $uploads = [];
        foreach ($files as $file) {
            $upload = new Upload($this->store->keep($file['path']), $file['name'], $this->timeline->now());
            $this->em->persist($upload);
            $this->em->flush();
            $uploads[] = $upload->id;
        }

        return $this->receiver->receive($this->forms->get($form), $answers + ([] === $uploads ? [] : ['photos' => $uploads]), new Arriving('page'))->id;
    }

    /** Accepts with the first answer to whatever is open. */
    public function accept(string $submissionId, string $email): ?Project
    {
        $submission = $this->em->find(Submission::class, $submissionId) ?? throw new \LogicException('received before');
        $plan = $this->plans->plan($submission);
        $decisions = [];
        foreach ($plan->open() as $line) {
            $decisions[$line->choice->key ?? ''] = $line->choice->options[0]['value'] ?? '';
        }
        $this->acceptor->accept($submission, $plan->fingerprint, $decisions, $this->staff($email));

        return $submission->project;
    }

    public function setAside(string $submissionId, string $reason, string $note, string $email): void
    {
        $submission = $this->em->find(Submission::class, $submissionId) ?? throw new \LogicException('received before');
        // Of two that happened to say the same, the second is set aside already.
        if (SubmissionState::Waiting === $submission->state) {
            $this->acceptor->setAside($submission, $reason, $note, $this->staff($email));
        }
    }

    /** The worker's part: sends what is queued. */
    public function send(): void
    {
        while ([] !== ($envelopes = [...$this->outbox->get()])) {
            foreach ($envelopes as $envelope) {
                $command = $envelope->getMessage();
                if ($command instanceof SendMessage) {
                    try {
                        ($this->sender)($command);
                    } catch (TransportExceptionInterface) {
                        $this->giveUp($envelope, $command);
                    }
                }
                $this->outbox->ack($envelope);
            }
        }
    }

    /** The worker's part: looks at what came. */
    public function look(): void
    {
        while ([] !== ($envelopes = [...$this->ahead->get()])) {
            foreach ($envelopes as $envelope) {
                $command = $envelope->getMessage();
                if ($command instanceof LookAhead) {
                    ($this->looker)($command);
                }
                // The sheets of the last days are left to the worker, which finds them as soon as it runs; drawing
                // those of all months would keep a first start waiting.
                if (!$command instanceof KeepSheet || $this->em->find(Change::class, $command->changeId)?->at < $this->clock->now()->modify('-2 days')) {
                    $this->ahead->ack($envelope);
                }
            }
        }
    }

    /** What the worker does after its last try. */
    private function giveUp(Envelope $envelope, SendMessage $command): void
    {
        $this->failed->send($envelope);
        $message = $this->em->find(Message::class, $command->messageId) ?? throw new \LogicException('it was about to be sent');
        $this->changes->carryOut(Act::of(
            ChangeKind::Send,
            'gave up sending '.$message->recordLabel(),
        )->at($this->timeline->now())->from($message->submissionId)->about($message), static function () use ($message): void {
            $message->fail($message->failure);
        });
    }

    public function finish(string $taskId): void
    {
        $task = $this->em->find(Task::class, $taskId) ?? throw new \LogicException('accepted before');
        $now = $this->timeline->now();
        $label = $task->recordLabel();
        $this->changes->carryOut(Act::of(
            ChangeKind::FinishTask,
            "finished task $label",
            $task->assignee,
        )->at($now)->on('task', $task->id, $label), static function () use ($task, $now): void {
            $task->finish($now);
        });
        $this->moveOn($task->project, $task->assignee);
    }

    /** The project's stage follows the share of its tasks that is done. */
    private function moveOn(Project $project, Staff $staff): void
    {
        $tasks = $this->em->getRepository(Task::class)->findBy(['project' => $project]);
        $done = \count(array_filter($tasks, static fn (Task $task): bool => null !== $task->finishedAt));
        $stage = DemoBusiness::STAGES[intdiv($done * (\count(DemoBusiness::STAGES) - 1), \count($tasks))];
        if ($stage !== $project->stage) {
            $this->changes->carryOut(Act::of(
                ChangeKind::MoveStage,
                "moved {$project->recordLabel()} to $stage",
                $staff,
            )->at($this->timeline->now())->about($project), function () use ($project, $stage): void {
                $project->moveTo($stage, StageEnd::Open, $this->timeline->now());
            });
        }
    }

    private function staff(string $email): Staff
    {
        return $this->em->getRepository(Staff::class)->findOneBy(['email' => $email]) ?? throw new \LogicException("$email is not on the staff");
    }

    /** One arrival is given to a colleague with a note, another is put off. */
    public function handOn(): void
    {
        $nessa = $this->em->getRepository(Staff::class)->findOneBy(['initials' => 'NQ']);
        $sorcha = $this->em->getRepository(Staff::class)->findOneBy(['initials' => 'SV']);
        $waits = fn (string $name): ?Submission => $this->em->getRepository(Submission::class)->findOneBy(['name' => $name, 'state' => SubmissionState::Waiting]);
        [$hers, $later] = [$waits('Hugh Orrin'), $waits('Rosheen Attley')];
        if (null === $nessa || null === $sorcha || null === $hers || null === $later) {
            return;
        }
        $this->handling->assign($hers, $sorcha->id, $nessa);
        $this->handling->note($hers, 'Sorcha, you know this one: is the soundboard worth new hammers?', $nessa);
        $this->handling->remind($later, $this->timeline->now()->modify('+1 day')->format(\DATE_RFC3339), $nessa);
    }
}
