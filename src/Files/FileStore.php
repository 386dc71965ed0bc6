<?php

declare(strict_types=1);

namespace Telamon\Files;

use Doctrine\ORM\EntityManagerInterface;
use League\Flysystem\FilesystemOperator;

/** Keeps bytes once, by their SHA-256. */
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
        $type = FileKind::of($source);
        $sha256 = (string) hash_file('sha256', $source);
        $known = $this->em->find(StoredFile::class, $sha256);
        if (null !== $known && $this->files->fileExists($known->path())) {
            return $known;
        }
        $file = $known ?? new StoredFile($sha256, $type, (int) filesize($source));
        $handle = fopen($source, 'r') ?: throw new \RuntimeException('the file cannot be read');
        $this->files->writeStream($file->path(), $handle);
        fclose($handle);
        $this->em->persist($file);

        return $file;
    }

    /** @return resource */
    public function open(StoredFile $file)
    {
        return $this->files->readStream($file->path());
    }
}
