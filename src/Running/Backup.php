<?php

declare(strict_types=1);

namespace Telamon\Running;

use Doctrine\DBAL\Connection;
use Symfony\Component\Filesystem\Filesystem;

/** Copies an installation while it runs: the database as it is at one moment, every file that it knows, and the secret. */
final readonly class Backup
{
    /** What a program that merely looked leaves in a folder. */
    private const NOTHING = ['.', '..', 'log', 'cache', 'run', 'tmp', 'secret', 'sessions', '.lock', '.starter', '.health'];
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
        // Nobody else reads what is in it.
        $before = umask(0o077);
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
            self::close($beside);
            $this->folders->rename($beside, $target);
        } catch (\Throwable $error) {
            $this->folders->remove($beside);
            throw $error;
        } finally {
            umask($before);
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
        $left = is_dir($data) ? array_values(array_diff(scandir($data) ?: [], self::NOTHING)) : [];
        if ([] !== $left) {
            // Also what a database leaves beside it: with another one it would be read as a part of that.
            throw new NotBackedUp(
                "$data is not empty (".implode(', ', \array_slice($left, 0, 5)).'): it holds an installation already, or a part of one. Name an empty folder, or move that one away first.',
            );
        }
        self::check($source);
        $before = umask(0o077);
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
        self::close($data);
        umask($before);

        // Looked at where it stands now, before anybody is told that it does.
        return self::check($data);
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
        foreach (self::originals($db) as $id => $sha256) {
            $path = "$folder/files/incoming/$id.eml";
            if (!is_file($path) || hash_file('sha256', $path) !== $sha256) {
                throw new NotBackedUp("A letter is missing or not as it came: $id.");
            }
        }
        foreach ($db->query('SELECT sha256, size FROM stored_file') ?: [] as $row) {
            [$sha256, $size] = \is_array($row) && \is_string($row['sha256']) ? [$row['sha256'], is_numeric($row['size']) ? (int) $row['size'] : 0] : ['', 0];
            $path = "$folder/files/".substr($sha256, 0, 2)."/$sha256";
            if (!is_file($path) || filesize($path) !== $size || hash_file('sha256', $path) !== $sha256) {
                throw new NotBackedUp("A file is missing, cut off or not as it was: $sha256.");
            }
            ++$files;
            $bytes += $size;
        }

        return ['files' => $files, 'bytes' => $bytes];
    }

    /** @return array<string, string> SHA-256 by id, of letters whose bytes are known */
    private static function originals(\PDO $db): array
    {
        $known = [];
        $columns = ($db->query("SELECT name FROM pragma_table_info('incoming')") ?: throw new NotBackedUp('The database in it is broken.'))->fetchAll(\PDO::FETCH_COLUMN);
        foreach (\in_array('original', $columns, true) ? $db->query("SELECT id, original FROM incoming WHERE original <> ''") ?: [] : [] as $row) {
            if (\is_array($row) && \is_string($row['id']) && \is_string($row['original'])) {
                $known[$row['id']] = $row['original'];
            }
        }

        return $known;
    }

    /** Readable by its owner alone, whatever it was copied from. */
    private static function close(string $folder): void
    {
        $all = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS), \RecursiveIteratorIterator::SELF_FIRST);
        foreach ($all as $one) {
            if ($one instanceof \SplFileInfo && !$one->isLink()) {
                @chmod($one->getPathname(), $one->isDir() ? 0o700 : 0o600);
            }
        }
        @chmod($folder, 0o700);
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
