<?php

declare(strict_types=1);

namespace Telamon\Files;

use Doctrine\DBAL\Connection;
use League\Flysystem\FilesystemOperator;
use Psr\Clock\ClockInterface;
use Psr\Log\LoggerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\Messenger\Event\WorkerRunningEvent;
use Telamon\Queue\Every;

/** While the worker runs, once an hour: files that came for a form that was never sent go after a day. */
#[AsEventListener]
final class UploadSweep
{
    private const HOUR = 3600;
    private readonly Every $every;

    public function __construct(private readonly Connection $db, private readonly FilesystemOperator $files, private readonly ClockInterface $clock, private readonly LoggerInterface $logger)
    {
        $this->every = new Every(self::HOUR);
    }

    public function __invoke(WorkerRunningEvent $event): void
    {
        if ($this->every->isDue($this->clock->now())) {
            $this->sweep();
        }
    }

    /** @return int how many files were let go of */
    public function sweep(): int
    {
        $yesterday = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->modify('-1 day')->format('Y-m-d H:i:s');

        $gone = $this->db->transactional(fn (): int => (int) $this->db->executeStatement('DELETE FROM upload WHERE received_at < ?', [$yesterday]));
        $this->db->transactional(fn (): int => (int) $this->db->executeStatement('DELETE FROM stored_file WHERE NOT EXISTS (SELECT 1 FROM upload WHERE file_id = sha256) AND NOT EXISTS (SELECT 1 FROM attachment WHERE file_id = sha256)'));
        // What was chosen on plans that are decided is of use while they can be taken back.
        $this->db->transactional(fn (): int => (int) $this->db->executeStatement("DELETE FROM plan_decision WHERE submission_id IN (SELECT id FROM submission WHERE state <> 'waiting' AND decided_at < ?)", [$this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->modify('-30 days')->format('Y-m-d H:i:s')]));
        $this->compare();

        return $gone;
    }

    /**
     * The folder against the records: bytes that no record knows go once that is committed, an hour after they came at the
     * earliest; records whose bytes are gone are told, as nobody can bring them back but a backup.
     */
    private function compare(): void
    {
        $hourAgo = time() - self::HOUR;
        $there = [];
        foreach ($this->files->listContents('', true) as $file) {
            if ($file->isFile()) {
                $there[basename($file->path())] = true;
                // Bytes just written wait for their record, which comes under the write lock that this one takes too.
                if ($file->lastModified() < $hourAgo || 64 === \strlen(basename($file->path()))) {
                    $this->forgetUnknown($file->path());
                }
            }
        }
        /** @var list<string> $known */
        $known = $this->db->fetchFirstColumn('SELECT sha256 FROM stored_file');
        foreach ($known as $sha256) {
            if (!isset($there[$sha256]) && !$this->files->fileExists(substr($sha256, 0, 2)."/$sha256")) {
                $this->logger->error('The bytes of a file are gone; restore them from a backup.', ['sha256' => $sha256]);
            }
        }
    }

    private function forgetUnknown(string $path): void
    {
        if (false !== $this->db->fetchOne('SELECT 1 FROM stored_file WHERE sha256 = ?', [basename($path)])) {
            return;
        }
        $this->db->transactional(function () use ($path): void {
            // Looked at again under the lock under which a record is made.
            if (false === $this->db->fetchOne('SELECT 1 FROM stored_file WHERE sha256 = ?', [basename($path)])) {
                $this->files->delete($path);
            }
        });
    }
}
