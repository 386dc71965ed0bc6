<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('telamon:mail:take-in', 'Takes mails in from .eml files; the same one twice is one')]
final class TakeInCommand extends Command
{
    public function __construct(private readonly MailIn $in)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('from', InputArgument::REQUIRED, 'a file, or a folder of .eml files');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $from = $input->getArgument('from');
        $files = \is_string($from) && is_dir($from) ? glob("$from/*.eml") : (\is_string($from) && is_file($from) ? [$from] : []);
        if ([] === $files || false === $files) {
            $output->writeln('There is no mail.');

            return Command::INVALID;
        }
        foreach ($files as $file) {
            $one = $this->in->take((string) file_get_contents($file));
            $output->writeln(
                basename($file).": {$one->origin->value}, {$one->says->value} {$one->confidence} %, {$one->state->value}".('' === $one->submissionId ? '' : ', an arrival'),
                OutputInterface::OUTPUT_RAW,
            );
        }

        return Command::SUCCESS;
    }
}
