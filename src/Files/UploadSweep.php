<?php

declare(strict_types=1);

namespace Telamon\Files;

use Doctrine\DBAL\Connection;
use League\Flysystem\FilesystemOperator;
use Psr\Clock\ClockInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\Messenger\Event\WorkerRunningEvent;

/** While the worker runs, once an hour: files that came for a form that was never sent go after a day. */
#[AsEventListener]
final class UploadSweep
{
    private const HOUR = 3600;
    private ?int $last = null;

    public function __construct(private readonly Connection $db, private readonly FilesystemOperator $files, private readonly ClockInterface $clock)
    {
    }

    public function __invoke(WorkerRunningEvent $event): void
    {
        $now = $this->clock->now()->getTimestamp();
        if (null === $this->last || $now - $this->last >= self::HOUR) {
            $this->last = $now;
            $this->sweep();
        }
    }

    /** @return int how many files were let go of */
    public function sweep(): int
    {
        $yesterday = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->modify('-1 day')->format('Y-m-d H:i:s');

        return $this->db->transactional(function () use ($yesterday): int {
            $gone = (int) $this->db->executeStatement('DELETE FROM upload WHERE received_at < ?', [$yesterday]);
            /** @var list<string> $unused */
            $unused = $this->db->fetchFirstColumn('SELECT sha256 FROM stored_file f WHERE NOT EXISTS (SELECT 1 FROM upload WHERE file_id = f.sha256) AND NOT EXISTS (SELECT 1 FROM attachment WHERE file_id = f.sha256)');
            foreach ($unused as $sha256) {
                $this->db->delete('stored_file', ['sha256' => $sha256]);
                $this->files->delete(substr($sha256, 0, 2)."/$sha256");
            }

            return $gone;
        });
    }
}
