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
    public function __construct(private readonly Connection $db, private readonly EventDispatcherInterface $events)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $migrate = $this->getApplication()?->find('doctrine:migrations:migrate') ?? throw new \LogicException('run me from the console');
        $arguments = new ArrayInput(['--allow-no-migration' => true]);
        $arguments->setInteractive(false);

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
