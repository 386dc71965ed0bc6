<?php

declare(strict_types=1);

namespace Telamon\Files;

use Doctrine\DBAL\Connection;
use League\Flysystem\FilesystemOperator;
use Psr\Clock\ClockInterface;
use Psr\Log\LoggerInterface;
use Telamon\Queue\DueWork;

/** While the worker runs, once an hour: files that came for a form that was never sent go after a day. */
final readonly class UploadSweep implements DueWork
{
    private const HOUR = 3600;
    private const PARTS = ['uploads', 'decisions', 'files'];

    public function __construct(private Connection $db, private FilesystemOperator $files, private ClockInterface $clock, private LoggerInterface $logger)
    {
    }

    public function name(): string
    {
        return 'uploads';
    }

    public function words(): string
    {
        return 'Uploads that nobody sent are let go of; files are compared with their records';
    }

    public function every(): int
    {
        return self::HOUR;
    }

    public function due(): array
    {
        return self::PARTS;
    }

    public function carryOut(string $key): void
    {
        match ($key) {
            'uploads' => $this->letGo('DELETE FROM upload WHERE received_at < ?', '-1 day'),
            // What was chosen on plans that are decided is of use while they can be taken back.
            'decisions' => $this->letGo("DELETE FROM plan_decision WHERE submission_id IN (SELECT id FROM submission WHERE state <> 'waiting' AND decided_at < ?)", '-30 days'),
            default => $this->compare(),
        };
    }

    private function letGo(string $sql, string $since): void
    {
        $before = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->modify($since)->format('Y-m-d H:i:s');
        $this->db->transactional(fn () => $this->db->executeStatement($sql, [$before]));
    }

    /**
     * The folder against the records: bytes that no record knows go once that is committed, an hour after they came at the
     * earliest; records whose bytes are gone are told, as nobody can bring them back but a backup.
     */
    private function compare(): void
    {
        $this->db->transactional(fn (): int => (int) $this->db->executeStatement('DELETE FROM stored_file WHERE '.implode(
            ' AND ',
            array_map(static fn (array $by): string => "NOT EXISTS (SELECT 1 FROM {$by['tab']} WHERE {$by['col']} = stored_file.sha256)", $this->holders()),
        )));
        $hourAgo = time() - self::HOUR;
        $there = [];
        foreach ($this->files->listContents('', true) as $file) {
            if ($file->isFile()) {
                $there[basename($file->path())] = true;
                // Only what is named as files are here: whatever else lies in the folder belongs to somebody else, who says when it goes.
                if (1 === preg_match('~^[0-9a-f]{2}/[0-9a-f]{64}$~', $file->path())) {
                    // Bytes just written wait for their record, which comes under the write lock that this one takes too.
                    $this->forgetUnknown($file->path());
                } elseif ($file->lastModified() < $hourAgo && 1 === preg_match('~\.[0-9a-f]{12}\.part$~', $file->path())) {
                    $this->files->delete($file->path());
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

    /**
     * Whatever names stored files, as the database itself has it: a table that comes later is not forgotten here.
     *
     * @return list<array{tab: string, col: string}>
     */
    private function holders(): array
    {
        /** @var list<array{tab: string, col: string}> $holders */
        $holders = $this->db->fetchAllAssociative(
            "SELECT m.name AS tab, k.\"from\" AS col FROM sqlite_master m, pragma_foreign_key_list(m.name) k WHERE m.type = 'table' AND k.\"table\" = 'stored_file'",
        );

        return [] === $holders ? throw new \LogicException('nothing names stored files') : $holders;
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
