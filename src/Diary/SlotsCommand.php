<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Telamon\Core\Slots\SlotFinder;
use Telamon\Core\Slots\SlotReader;
use Telamon\Core\Slots\UnreadableSlots;

#[AsCommand('telamon:slots', 'Prints the times that are free, for what a file says; docs/diary.md has its form')]
final class SlotsCommand extends Command
{
    public function __construct(private readonly SlotReader $reader = new SlotReader(), private readonly SlotFinder $finder = new SlotFinder())
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'JSON: one question, or a list of them; - for standard input');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $path = $input->getArgument('file');
        $text = @file_get_contents('-' === $path ? 'php://stdin' : (\is_string($path) ? $path : ''));
        if (false === $text) {
            return $this->refuse($output, 'The file cannot be read.');
        }
        try {
            $data = json_decode($text, true, 64, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $error) {
            return $this->refuse($output, "The file is no JSON: {$error->getMessage()}.");
        }
        if (\is_array($data) && array_is_list($data) && str_starts_with(ltrim($text, " \t\r\n\u{FEFF}"), '[')) {
            $refused = 0;
            $answers = [];
            foreach ($data as $one) {
                try {
                    $answers[] = ['slots' => $this->finder->find($this->reader->read($one))];
                } catch (UnreadableSlots $error) {
                    $answers[] = ['error' => $error->getMessage()];
                    ++$refused;
                }
            }
            $this->print($output, $answers);

            return 0 === $refused ? Command::SUCCESS : Command::FAILURE;
        }
        try {
            $this->print($output, ['slots' => $this->finder->find($this->reader->read($data))]);
        } catch (UnreadableSlots $error) {
            return $this->refuse($output, $error->getMessage());
        }

        return Command::SUCCESS;
    }

    /** @param array<mixed> $answer */
    private function print(OutputInterface $output, array $answer): void
    {
        $output->writeln(json_encode($answer, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES), OutputInterface::OUTPUT_RAW);
    }

    private function refuse(OutputInterface $output, string $why): int
    {
        $error = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        $error->writeln($why, OutputInterface::OUTPUT_RAW);

        return Command::FAILURE;
    }
}
