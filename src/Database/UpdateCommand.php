<?php

declare(strict_types=1);

namespace Telamon\Database;

use Doctrine\DBAL\Connection;
use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\ArrayInput;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * Brings the database's tables up to date in one transaction: all migrations that are due, or none. Two that
 * start at once wait for one another. (PDO cannot see a transaction begun in immediate mode, so the
 * migrations' own transaction handling is off.).
 */
#[AsCommand('telamon:database:update', 'Bring the database up to date, all of it or nothing')]
final class UpdateCommand extends Command
{
    private const KEPT = 3;

    public function __construct(
        private readonly Connection $db,
        private readonly EventDispatcherInterface $events,
        private readonly string $projectFolder,
        private readonly string $dataFolder,
    ) {
        parent::__construct();
    }

    /** The database as it was, beside: one may want it back. The last few are kept. */
    private function keepBefore(): void
    {
        $folder = "{$this->dataFolder}/before-update";
        $before = umask(0o077);
        is_dir($folder) || mkdir($folder, 0o700);
        $this->db->executeStatement('VACUUM INTO '.$this->db->quote("$folder/".date('Ymd-His').'.db'));
        umask($before);
        foreach (\array_slice(glob("$folder/*.db") ?: [], 0, -self::KEPT) as $old) {
            @unlink($old);
        }
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $migrate = $this->getApplication()?->find('doctrine:migrations:migrate') ?? throw new \LogicException('run me from the console');
        $arguments = new ArrayInput(['--allow-no-migration' => true]);
        $arguments->setInteractive(false);

        $known = array_map(static fn (string $file): string => 'TelamonMigrations\\'.basename($file, '.php'), glob("{$this->projectFolder}/migrations/*.php") ?: []);
        /** @var list<string> $done */
        $done = false === $this->db->fetchOne("SELECT 1 FROM sqlite_master WHERE name = 'doctrine_migration_versions'")
            ? []
            : $this->db->fetchFirstColumn('SELECT version FROM doctrine_migration_versions');
        if ([] !== array_diff($done, $known)) {
            $output->writeln('This database was written by a newer Telamon. Run that one, or restore a backup from before.');

            return Command::FAILURE;
        }
        if ([] !== $done && [] !== array_diff($known, $done)) {
            $this->keepBefore();
        }
        $this->db->executeStatement('PRAGMA journal_mode = WAL');

        return $this->db->transactional(function () use ($migrate, $arguments, $output): int {
            $code = $migrate->run($arguments, $output);

            if (Command::SUCCESS !== $code) {
                throw new \RuntimeException('The database could not be brought up to date; it is as it was.');
            }
            $this->events->dispatch(new DatabaseUpdated());

            return $code;
        });
    }
}
