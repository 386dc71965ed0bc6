<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Symfony\Component\Console\Attribute\AsCommand;
use Telamon\Console\AnswersFile;
use Telamon\Core\Checklists\Replan;
use Telamon\Core\Checklists\StandingReader;

#[AsCommand('telamon:tasks:replan', 'Prints the open tasks of a project in mid-life in order and dated anew, for what a file says; docs/tasks.md has its form')]
final class ReplanCommand extends AnswersFile
{
    public function __construct(private readonly StandingReader $reader = new StandingReader(), private readonly Replan $replan = new Replan())
    {
        parent::__construct();
    }

    protected function answer(mixed $question): array
    {
        return $this->replan->of($this->reader->read($question));
    }
}
