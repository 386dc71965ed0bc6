<?php

declare(strict_types=1);

namespace Telamon\Files;

use Doctrine\ORM\EntityManagerInterface;
use League\Flysystem\FilesystemOperator;

/**
 * Keeps bytes once, by their SHA-256. The record is made under the database's write lock, and the bytes are looked for
 * under it too: whoever sweeps up takes the same lock, so that neither stands without the other.
 */
final readonly class FileStore
{
    public function __construct(private FilesystemOperator $files, private EntityManagerInterface $em)
    {
    }

    /**
     * @param string $source path of a local file
     *
     * @throws FileNotTaken when the bytes are of no kind that is taken
     */
    public function keep(string $source): StoredFile
    {
        return $this->keepAs($source, FileKind::of($source));
    }

    /** @param string $type media type of what was made here: nobody has to find it out */
    public function keepMade(string $bytes, string $type): StoredFile
    {
        $path = tempnam(sys_get_temp_dir(), 'made') ?: throw new \RuntimeException('nothing can be written');
        try {
            file_put_contents($path, $bytes);

            return $this->keepAs($path, $type);
        } finally {
            @unlink($path);
        }
    }

    private function keepAs(string $source, string $type): StoredFile
    {
        $sha256 = (string) hash_file('sha256', $source);
        $file = new StoredFile($sha256, $type, (int) filesize($source));
        if (!$this->files->fileExists($file->path())) {
            $this->write($file, $source);
        }
        $db = $this->em->getConnection();
        $db->transactional(function () use ($db, $file, $source): void {
            // Several may bring the same bytes at the same moment: the first makes the record, all have it.
            $db->executeStatement('INSERT INTO stored_file (sha256, type, size) VALUES (?, ?, ?) ON CONFLICT DO NOTHING', [$file->sha256, $file->type, $file->size]);
            if (!$this->files->fileExists($file->path())) {
                $this->write($file, $source);
            }
        });

        return $this->em->find(StoredFile::class, $sha256) ?? throw new \LogicException('the record was just made');
    }

    /** @return string the bytes, of a file that was made here and is small */
    public function bytes(StoredFile $file): string
    {
        return (string) stream_get_contents($this->open($file));
    }

    /** @return resource */
    public function open(StoredFile $file)
    {
        return $this->files->readStream($file->path());
    }

    private function write(StoredFile $file, string $source): void
    {
        $handle = fopen($source, 'r') ?: throw new \RuntimeException('the file cannot be read');
        try {
            $this->files->writeStream($file->path(), $handle);
        } finally {
            fclose($handle);
        }
    }
}
