<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Telamon\Refusal\Refusal;

#[AsCommand('telamon:undo', 'Takes a change back, and says what stays')]
final class UndoCommand extends Command
{
    public function __construct(private readonly Undo $undo)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('change', InputArgument::REQUIRED, 'the id of the change');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $id = $input->getArgument('change');
        try {
            $done = $this->undo->undo(\is_string($id) ? $id : '', null, now: true);
        } catch (Refusal $refusal) {
            $output->writeln("{$refusal->title()}. {$refusal->getMessage()}");

            return Command::FAILURE;
        }
        $output->writeln("{$done['words']}. {$done['undone']} records.");
        foreach ($done['kept'] as $kept) {
            $output->writeln("stays: {$kept['record']['label']}, {$kept['why']}");
        }

        return Command::SUCCESS;
    }
}
