<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Telamon\Core\Evidence\CanonicalJson;
use Telamon\Core\Evidence\Checker;
use Telamon\Core\Evidence\NotCanonical;
use Telamon\Core\Evidence\Verdict;

#[AsCommand('telamon:quotes:verify', 'Says of a signed file, PDF or record, what holds and what does not')]
final class VerifyCommand extends Command
{
    private const NOTHING = 2;

    public function __construct(private readonly Checker $checker)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'PDF file or record, or a list of records; - for standard input');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $path = $input->getArgument('file');
        $bytes = @file_get_contents('-' === $path ? 'php://stdin' : (\is_string($path) ? $path : ''));
        if (false === $bytes) {
            return $this->say($output, 'The file cannot be read.');
        }
        $records = self::records($bytes);
        if (null !== $records) {
            $verdicts = array_map($this->checker->check(...), $records);
            self::print($output, array_map(static fn (Verdict $one): array => $one->isSigned ? $one->toArray() : ['error' => 'nothing signed is in it'], $verdicts));

            return [] === array_filter($verdicts, static fn (Verdict $one): bool => !$one->isSigned || [] !== $one->fails()) ? Command::SUCCESS : Command::FAILURE;
        }
        $verdict = $this->checker->check($bytes);
        self::print($output, $verdict->toArray());

        return $verdict->isSigned ? ([] === $verdict->fails() ? Command::SUCCESS : Command::FAILURE) : $this->say($output, 'Nothing signed is in it.');
    }

    /** @return list<string>|null the bytes of each, where the file holds a list of records */
    private static function records(string $bytes): ?array
    {
        try {
            $list = str_starts_with(ltrim($bytes), '[') ? CanonicalJson::read($bytes) : null;
        } catch (NotCanonical) {
            return null;
        }
        $write = static function (mixed $one): string {
            try {
                return CanonicalJson::write($one);
            } catch (NotCanonical) {
                return (string) json_encode($one, \JSON_PARTIAL_OUTPUT_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES);
            }
        };

        return \is_array($list) ? array_values(array_map($write, $list)) : null;
    }

    /** @param array<mixed> $answer */
    private static function print(OutputInterface $output, array $answer): void
    {
        $output->writeln(
            json_encode($answer, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_INVALID_UTF8_SUBSTITUTE),
            OutputInterface::OUTPUT_RAW,
        );
    }

    private function say(OutputInterface $output, string $why): int
    {
        ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln($why, OutputInterface::OUTPUT_RAW);

        return self::NOTHING;
    }
}
