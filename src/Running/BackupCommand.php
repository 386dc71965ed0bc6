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

#[AsCommand('telamon:backup', 'Copy the installation, running or not: a folder, or one file ending in .tar.gz')]
final class BackupCommand extends Command
{
    public function __construct(private readonly Backup $backup, private readonly string $dataFolder)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('to', InputArgument::REQUIRED, 'A folder or file that is not there yet');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $to = $input->getArgument('to');
        $to = \is_string($to) ? rtrim($to, '/') : '';
        $isFile = 1 === preg_match('/\.(tar\.gz|tgz)$/', $to);
        $folder = $isFile ? "$to.folder" : $to;
        umask(0o077);
        try {
            if ($isFile && file_exists($to)) {
                throw new NotBackedUp("$to is there already; choose another name.");
            }
            $made = $this->backup->make($folder);
            if ($isFile) {
                (new Process(['tar', '-czf', "$to.part", '-C', $folder, '.'], null, null, null, null))->mustRun();
                (new Filesystem())->rename("$to.part", $to);
                (new Filesystem())->remove($folder);
            }
        } catch (NotBackedUp $error) {
            $output->writeln($error->getMessage());

            return Command::FAILURE;
        }
        if (!is_file("{$this->dataFolder}/secret")) {
            $output->writeln(
                'There is no secret in the data folder: links and signatures that went out hold only where it is set otherwise (APP_SECRET). Keep that with this backup.',
            );
        }
        $output->writeln(\sprintf(
            'Backed up to %s: the database, %d files (%.1f MB), and the secret. Keep it where nobody else reads it.',
            $to,
            $made['files'],
            $made['bytes'] / 1e6,
        ));

        return Command::SUCCESS;
    }
}
