<?php

declare(strict_types=1);

namespace Telamon\Tasks;

use Symfony\Component\Console\Attribute\AsCommand;
use Telamon\Console\AnswersFile;
use Telamon\Core\Checklists\OutlineMerge;
use Telamon\Core\Checklists\OutlineReader;

#[AsCommand('telamon:tasks:merge', 'Prints checklists merged into one dated order, for what a file says; docs/tasks.md has its form')]
final class MergeCommand extends AnswersFile
{
    public function __construct(private readonly OutlineReader $reader = new OutlineReader(), private readonly OutlineMerge $merge = new OutlineMerge())
    {
        parent::__construct();
    }

    protected function answer(mixed $question): array
    {
        return $this->merge->of($this->reader->read($question));
    }
}
