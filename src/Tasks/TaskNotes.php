<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Telamon\Business\Profile;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Comments on tasks, minutes of work, and steps that are ticked. */
final readonly class TaskNotes
{
    private const MOST = 500;

    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private EventDispatcherInterface $events,
        private Profile $business,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param string $id what it is to be known by
     *
     * @throws Refusal
     */
    public function write(Task $task, string $id, string $text, int $minutes, Staff $staff): void
    {
        if ('' === $text && 0 === $minutes) {
            throw new InvalidInput('text', 'Write something, or how many minutes you worked on it.');
        }
        $words = '' === $text ? "logged $minutes minutes on task {$task->recordLabel()}" : "wrote on task {$task->recordLabel()}";
        $this->changes->carryOut($this->change($words, $task, $staff), function () use ($task, $id, $text, $minutes, $staff): void {
            // The same sending may have come twice within one breath.
            if (null !== $this->em->find(TaskNote::class, $id)) {
                return;
            }
            if ($this->em->getRepository(TaskNote::class)->count(['task' => $task]) >= self::MOST) {
                throw new InvalidInput('text', 'A task takes '.self::MOST.' notes at most.');
            }
            $note = new TaskNote($task, $staff, $this->clock->now(), $text, $minutes, $id);
            $this->em->persist($note);
            $named = $this->named($text, $staff);
            if ([] !== $named) {
                $this->events->dispatch(new TaskSaid($note, $named));
            }
        });
    }

    /**
     * @param list<int> $places of the steps that are ticked
     *
     * @throws Refusal
     */
    public function tick(Task $task, array $places, Staff $staff): void
    {
        $steps = $task->steps();
        foreach ($places as $place) {
            isset($steps[$place]) ?: throw new InvalidInput('steps', 'There is no such step.');
        }
        $this->changes->carryOut($this->change("ticked steps of task {$task->recordLabel()}", $task, $staff)->looking($task), static function () use ($task, $places): void {
            $task->tick(array_values(array_unique($places)));
        });
    }

    /** @return list<array{id: string, by: string, at: string, text: string, minutes: int}> the oldest first, as TaskNote in the contract */
    public function of(Task $task): array
    {
        $zone = $this->business->zone();

        return array_map(
            static fn (TaskNote $note): array => [
                'id' => $note->id,
                'by' => $note->staff->name,
                'at' => $note->at->setTimezone($zone)->format(\DATE_RFC3339),
                'text' => $note->text,
                'minutes' => $note->minutes,
            ],
            $this->em->getRepository(TaskNote::class)->findBy(['task' => $task], ['at' => 'ASC', 'id' => 'ASC']),
        );
    }

    /** @return list<Staff> those whose first or whole names stand after an @, less whoever wrote */
    private function named(string $text, Staff $by): array
    {
        $named = [];
        foreach (str_contains($text, '@') ? $this->em->getRepository(Staff::class)->findBy(['active' => true]) : [] as $one) {
            $first = explode(' ', $one->name)[0];
            if ($one !== $by && 1 === preg_match('/@(?:'.preg_quote($one->name, '/').'|'.preg_quote($first, '/').')(?![\p{L}\p{N}])/iu', $text)) {
                $named[] = $one;
            }
        }

        return $named;
    }

    private function change(string $words, Task $task, Staff $staff): Act
    {
        return Act::of(ChangeKind::Edit, $words, $staff)->about($task);
    }
}
