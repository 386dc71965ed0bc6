<?php

declare(strict_types=1);

namespace Telamon\Matching;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Telamon\Core\Matching\FieldWords;

#[AsCommand('telamon:clients:duplicates', 'Lists the pairs of clients that may be one person, best first')]
final class DuplicatesCommand extends Command
{
    public function __construct(private readonly Duplicates $duplicates)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('format', null, InputOption::VALUE_REQUIRED, 'text or csv', 'text')
            ->addOption('at-least', null, InputOption::VALUE_REQUIRED, 'the least probability, 0 to 1; from the threshold for “perhaps” on where left out');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $least = $input->getOption('at-least');
        if (null !== $least && (!is_numeric($least) || $least < 0 || $least > 1)) {
            $output->writeln('--at-least takes a number from 0 to 1.');

            return Command::INVALID;
        }
        $csv = 'csv' === $input->getOption('format');
        if ($csv) {
            $output->writeln('external_id_a,external_id_b,probability');
        }
        $ids = $csv ? $this->duplicates->externalIds() : [];
        $names = $csv ? [] : $this->duplicates->names();
        foreach ($this->duplicates->pairs(null === $least ? null : (float) $least) as [$a, $b, $judgement]) {
            $output->writeln($csv
                ? \sprintf('%s,%s,%.4f', self::cell($ids[$a] ?? $a), self::cell($ids[$b] ?? $b), $judgement->probability)
                : \sprintf('%6s  %s  |  %s  (%s)', FieldWords::percent($judgement->probability), $names[$a] ?? $a, $names[$b] ?? $b, FieldWords::agreeing($judgement)), OutputInterface::OUTPUT_RAW);
        }

        return Command::SUCCESS;
    }

    private static function cell(string $text): string
    {
        return 1 === preg_match('/[",\r\n]/', $text) ? '"'.str_replace('"', '""', $text).'"' : $text;
    }
}
