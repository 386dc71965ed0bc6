<?php

declare(strict_types=1);

namespace Telamon\Console;

use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Telamon\Core\Text\Unanswerable;

/**
 * A command that answers the question in a file, or each of a list of them: JSON on standard output and nothing else.
 * A question that is refused is one line on standard error and exit code 1; in a list it is an error in its place.
 */
abstract class AnswersFile extends Command
{
    /**
     * @return array<string, mixed>
     *
     * @throws Unanswerable
     */
    abstract protected function answer(mixed $question): array;

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
        // A mark of the byte order is no part of JSON, and some programs write it all the same.
        $text = str_starts_with($text, "\u{FEFF}") ? substr($text, 3) : $text;
        try {
            $data = json_decode($text, true, 64, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $error) {
            return $this->refuse($output, "The file is no JSON: {$error->getMessage()}.");
        }
        if (\is_array($data) && array_is_list($data) && str_starts_with(ltrim($text), '[')) {
            return $this->answerAll($data, $output);
        }
        try {
            $this->print($output, $this->answer($data));
        } catch (Unanswerable $error) {
            return $this->refuse($output, $error->getMessage());
        }

        return Command::SUCCESS;
    }

    /** @param list<mixed> $questions */
    private function answerAll(array $questions, OutputInterface $output): int
    {
        $refused = 0;
        $answers = [];
        foreach ($questions as $question) {
            try {
                $answers[] = $this->answer($question);
            } catch (Unanswerable $error) {
                $answers[] = ['error' => $error->getMessage()];
                ++$refused;
            }
        }
        $this->print($output, $answers);

        return 0 === $refused ? Command::SUCCESS : Command::FAILURE;
    }

    /** @param array<mixed> $answer */
    private function print(OutputInterface $output, array $answer): void
    {
        $output->writeln(
            json_encode($answer, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_INVALID_UTF8_SUBSTITUTE),
            OutputInterface::OUTPUT_RAW,
        );
    }

    private function refuse(OutputInterface $output, string $why): int
    {
        $error = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        $error->writeln($why, OutputInterface::OUTPUT_RAW);

        return Command::FAILURE;
    }
}
