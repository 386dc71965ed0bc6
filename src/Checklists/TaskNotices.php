<?php

declare(strict_types=1);

namespace Telamon\Checklists;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Telamon\Core\Reading\NameReader;
use Telamon\Messages\Message;
use Telamon\Messages\MessageQueue;
use Telamon\Staff\Staff;
use Telamon\Tasks\Task;
use Telamon\Tasks\TaskSaid;
use Telamon\Tasks\TasksFreed;

/** Tells people of their tasks: that one can begin, that somebody wrote to them. */
final readonly class TaskNotices
{
    public function __construct(private MessageQueue $messages, private NameReader $names, #[Autowire(env: 'TELAMON_URL')] private string $address = '')
    {
    }

    /** Whoever finished the last of them knows already. */
    #[AsEventListener]
    public function freed(TasksFreed $event): void
    {
        foreach ($event->tasks as $task) {
            if ($task->assignee !== $event->by && $task->assignee->active) {
                $event->touch($this->tell($task->assignee, $task, "“{$task->name}” can begin: “{$event->after->name}” is done", ''));
            }
        }
    }

    #[AsEventListener]
    public function said(TaskSaid $event): void
    {
        foreach ($event->to as $staff) {
            $event->touch($this->tell($staff, $event->note->task, "{$event->note->staff->name} wrote to you on “{$event->note->task->name}”", $event->note->text));
        }
    }

    private function tell(Staff $to, Task $task, string $why, string $notes): Message
    {
        $project = $task->project;

        return $this->messages->queue('told', $to->email, $to->name, [
            'first_name' => $this->names->read($to->name)->given, 'client' => $project->client->name(), 'why' => $why, 'service' => $project->title, 'project' => $project->number,
            'phone' => '', 'place' => $project->asset->place ?? '', 'lead' => $project->lead->name, 'notes' => $notes, 'link' => '' === $this->address
                ? ''
                : rtrim($this->address, '/')."/projects/{$project->id}",
        ], $project->client, $project, null, $why, true);
    }
}
