<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Symfony\Component\Console\Attribute\AsCommand;
use Telamon\Console\AnswersFile;
use Telamon\Core\Slots\SlotFinder;
use Telamon\Core\Slots\SlotReader;

#[AsCommand('telamon:slots', 'Prints the times that are free, for what a file says; docs/diary.md has its form')]
final class SlotsCommand extends AnswersFile
{
    public function __construct(private readonly SlotReader $reader = new SlotReader(), private readonly SlotFinder $finder = new SlotFinder())
    {
        parent::__construct();
    }

    protected function answer(mixed $question): array
    {
        return ['slots' => $this->finder->find($this->reader->read($question))];
    }
}
