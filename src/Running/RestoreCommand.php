<?php

declare(strict_types=1);

namespace Telamon\Running;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

#[AsCommand('telamon:restore', 'Put a backup into the data folder that TELAMON_DATA names, while nothing runs on it')]
final class RestoreCommand extends Command
{
    public function __construct(private readonly string $dataFolder)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('from', InputArgument::REQUIRED, 'What telamon:backup wrote');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $from = $input->getArgument('from');
        $from = \is_string($from) ? rtrim($from, '/') : '';
        $unpacked = null;
        umask(0o077);
        try {
            if (is_file($from)) {
                $unpacked = $this->dataFolder.'.unpacked';
                (new Filesystem())->remove($unpacked);
                (new Filesystem())->mkdir($unpacked, 0o700);
                (new Process(['tar', '-xzf', $from, '-C', $unpacked, '--no-same-owner'], null, null, null, null))->mustRun();
            }
            $restored = Backup::restore($unpacked ?? $from, $this->dataFolder);
        } catch (NotBackedUp $error) {
            $output->writeln($error->getMessage());

            return Command::FAILURE;
        } finally {
            (new Filesystem())->remove($unpacked ?? []);
        }
        if (!is_file("{$this->dataFolder}/secret")) {
            $output->writeln('There was no secret in it: links and signatures that went out before hold only where it is set otherwise (APP_SECRET).');
        }
        $output->writeln(\sprintf('Restored %s: the database and %d files (%.1f MB). bin/start runs it.', $this->dataFolder, $restored['files'], $restored['bytes'] / 1e6));

        return Command::SUCCESS;
    }
}
