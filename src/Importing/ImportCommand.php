<?php

declare(strict_types=1);

namespace Telamon\Importing;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Console\Style\SymfonyStyle;
use Telamon\Core\Importing\ColumnGuess;

#[AsCommand('telamon:clients:import', 'Brings in clients from a CSV or vCard file')]
final class ImportCommand extends Command
{
    private const TOLD = 20;

    public function __construct(private readonly ClientImport $import, private readonly ImportWriter $writer)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'CSV or vCard, in UTF-8')
            ->addOption('dry-run', null, InputOption::VALUE_NONE, 'Say what would happen, and change nothing');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $io = new SymfonyStyle($input, $output);
        $errors = new SymfonyStyle($input, $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output);
        $path = $input->getArgument('file');
        $path = \is_string($path) ? $path : '';
        try {
            $file = ClientFile::open($path);
            $fields = ColumnGuess::fields($file->heads(), $file->sample());
            if ([] === $fields) {
                throw new FileNotRead(
                    'None of the columns is known: '.implode(', ', $file->heads()).'. Use the heads external_id,given_name,family_name,organisation,email,phone,address_line,locality,postal_code,country.',
                );
            }
            // Read whole before the first is written: rows of one file are not matched with each other.
            $rows = [];
            $counts = ['new' => 0, 'matched' => 0, 'doubtful' => 0, 'wrong' => 0];
            foreach ($this->import->rows($file, $fields) as $row) {
                $rows[] = $row;
                ++$counts[$row->verdict];
                $this->tell($io, $row, $counts[$row->verdict]);
            }
        } catch (FileNotRead $error) {
            $errors->error($error->getMessage());

            return Command::FAILURE;
        }
        $io->writeln(\sprintf('%d new, %d matched, %d doubtful, %d wrong', ...array_values($counts)));
        if (true === $input->getOption('dry-run')) {
            $io->writeln('Nothing was changed.');

            return Command::SUCCESS;
        }
        $bar = $errors->createProgressBar(\count($rows));
        $change = $this->writer->write($rows, basename($path), null, static function (int $done) use ($bar): void {
            $bar->setProgress($done);
        });
        $bar->finish();
        $errors->newLine();
        $io->writeln("Done. Doubtful ones came in as new; see telamon:clients:duplicates. To take it back: telamon:undo {$change->id}");

        return Command::SUCCESS;
    }

    private function tell(SymfonyStyle $io, ImportRow $row, int $count): void
    {
        if (\in_array($row->verdict, ['doubtful', 'wrong'], true) && ($count <= self::TOLD || $io->isVerbose())) {
            $io->writeln("line {$row->client->line}: {$row->verdict}, {$row->client->name()}: {$row->why}");
        }
    }
}
