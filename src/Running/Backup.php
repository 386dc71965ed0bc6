<?php

declare(strict_types=1);

namespace Telamon\Running;

use Doctrine\DBAL\Connection;
use Symfony\Component\Filesystem\Filesystem;

/** Copies an installation while it runs: the database as it is at one moment, every file that it knows, and the secret. */
final readonly class Backup
{
    private const FOLDERS = ['files', 'mail', 'mail-in', 'texts', 'imports'];

    public function __construct(private Connection $db, private string $dataFolder, private Filesystem $folders = new Filesystem())
    {
    }

    /**
     * @param string $target a folder that is not there yet; it appears whole, or not at all
     *
     * @return array{files: int, bytes: int}
     *
     * @throws NotBackedUp in words
     */
    public function make(string $target): array
    {
        if (file_exists($target)) {
            throw new NotBackedUp("$target is there already; choose another name.");
        }
        $beside = $target.'.part';
        $this->folders->remove($beside);
        $this->folders->mkdir($beside, 0o700);
        try {
            // Files before and after the database: what it knows is among them, whatever comes or goes meanwhile.
            $this->copyFolders($beside);
            $this->db->executeStatement('VACUUM INTO '.$this->db->quote("$beside/telamon.db"));
            $this->copyFolders($beside);
            if (is_file("{$this->dataFolder}/secret")) {
                $this->folders->copy("{$this->dataFolder}/secret", "$beside/secret");
                $this->folders->chmod("$beside/secret", 0o600);
            }
            $counted = self::check($beside);
            $this->folders->rename($beside, $target);
        } catch (\Throwable $error) {
            $this->folders->remove($beside);
            throw $error;
        }

        return $counted;
    }

    /**
     * Puts a backup into the place of an installation that is not running.
     *
     * @param string $source a folder that make() wrote
     *
     * @return array{files: int, bytes: int}
     *
     * @throws NotBackedUp in words
     */
    public static function restore(string $source, string $data): array
    {
        $folders = new Filesystem();
        if (is_file("$data/telamon.db")) {
            throw new NotBackedUp("$data holds an installation already. Name an empty folder, or move that one away first.");
        }
        $counted = self::check($source);
        $beside = rtrim($data, '/').'.restoring';
        $folders->remove($beside);
        $folders->mirror($source, $beside);
        $folders->mkdir($data, 0o700);
        foreach (['telamon.db', 'secret', ...self::FOLDERS] as $name) {
            // The database last: with it, the installation is there.
            if ('telamon.db' !== $name && file_exists("$beside/$name")) {
                $folders->remove("$data/$name");
                $folders->rename("$beside/$name", "$data/$name");
            }
        }
        $folders->rename("$beside/telamon.db", "$data/telamon.db");
        $folders->remove($beside);

        return $counted;
    }

    /**
     * @return array{files: int, bytes: int}
     *
     * @throws NotBackedUp when the database is not sound, or a file that it knows is not there whole
     */
    public static function check(string $folder): array
    {
        if (!is_file("$folder/telamon.db")) {
            throw new NotBackedUp("$folder holds no backup: there is no telamon.db in it.");
        }
        $db = new \PDO("sqlite:$folder/telamon.db", null, null, [\PDO::ATTR_ERRMODE => \PDO::ERRMODE_EXCEPTION]);
        $sound = $db->query('PRAGMA integrity_check');
        if (false === $sound || 'ok' !== $sound->fetchColumn()) {
            throw new NotBackedUp('The database in it is broken.');
        }
        [$files, $bytes] = [0, 0];
        foreach ($db->query('SELECT sha256, size FROM stored_file') ?: [] as $row) {
            [$sha256, $size] = \is_array($row) && \is_string($row['sha256']) ? [$row['sha256'], is_numeric($row['size']) ? (int) $row['size'] : 0] : ['', 0];
            $path = "$folder/files/".substr($sha256, 0, 2)."/$sha256";
            if (!is_file($path) || filesize($path) !== $size) {
                throw new NotBackedUp("A file is missing or cut off: $sha256.");
            }
            ++$files;
            $bytes += $size;
        }

        return ['files' => $files, 'bytes' => $bytes];
    }

    private function copyFolders(string $to): void
    {
        foreach (self::FOLDERS as $name) {
            if (is_dir("{$this->dataFolder}/$name")) {
                $this->folders->mirror("{$this->dataFolder}/$name", "$to/$name", null, ['override' => false, 'copy_on_windows' => false]);
            }
        }
    }
}
