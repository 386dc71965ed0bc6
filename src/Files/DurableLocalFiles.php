<?php

declare(strict_types=1);

namespace Telamon\Files;

use League\Flysystem\Config;
use League\Flysystem\Local\LocalFilesystemAdapter;
use League\Flysystem\UnableToWriteFile;

/**
 * A local folder in which a file is there whole or not at all: written beside under a name of its own, brought to the
 * disk, counted, and renamed into its place.
 */
final class DurableLocalFiles extends LocalFilesystemAdapter
{
    public function __construct(private readonly string $folder)
    {
        parent::__construct($folder);
    }

    public function write(string $path, string $contents, Config $config): void
    {
        $handle = fopen('php://temp', 'r+') ?: throw UnableToWriteFile::atLocation($path, 'no memory for it');
        fwrite($handle, $contents);
        rewind($handle);
        $this->writeStream($path, $handle, $config);
        fclose($handle);
    }

    public function writeStream(string $path, $contents, Config $config): void
    {
        $place = "{$this->folder}/$path";
        $beside = $place.'.'.bin2hex(random_bytes(6)).'.part';
        $folder = \dirname($place);
        if (!is_dir($folder) && !@mkdir($folder, 0o700, true) && !is_dir($folder)) {
            throw UnableToWriteFile::atLocation($path, 'its folder cannot be made');
        }
        $size = fstat($contents)['size'] ?? null;
        $handle = @fopen($beside, 'x') ?: throw UnableToWriteFile::atLocation($path, 'it cannot be opened');
        try {
            $written = stream_copy_to_stream($contents, $handle);
            // A full disk takes a part and says nothing.
            if (false === $written || (null !== $size && $written !== $size) || !fflush($handle) || !fsync($handle)) {
                throw UnableToWriteFile::atLocation($path, 'the disk did not take all of it');
            }
            if (!rename($beside, $place)) {
                throw UnableToWriteFile::atLocation($path, 'it cannot be put into its place');
            }
        } finally {
            fclose($handle);
            if (is_file($beside)) {
                unlink($beside);
            }
        }
    }
}
