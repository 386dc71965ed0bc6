<?php

declare(strict_types=1);

namespace Telamon\Tests\Files;

use League\Flysystem\Config;
use League\Flysystem\UnableToWriteFile;
use PHPUnit\Framework\TestCase;
use Telamon\Files\DurableLocalFiles;
use Telamon\Tests\Support\DataFolder;

/** A file is there whole or not at all, and nothing lies beside it. */
final class DurableFilesTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = DataFolder::root().'/durable';
        is_dir($this->folder) || mkdir($this->folder, 0o700, true);
    }

    public function testItWritesWhatItIsGivenOverWhatWasThere(): void
    {
        $files = new DurableLocalFiles($this->folder);
        $files->write('ab/photograph', str_repeat('x', 300_000), new Config());
        $files->write('ab/photograph', 'shorter', new Config());
        self::assertSame('shorter', $files->read('ab/photograph'));
        self::assertSame(['photograph'], $this->in('ab'));
    }

    public function testWhatComesShortIsNotTaken(): void
    {
        $files = new DurableLocalFiles($this->folder);
        $path = "{$this->folder}/source";
        file_put_contents($path, '0123456789');
        $half = fopen($path, 'r');
        self::assertIsResource($half);
        // Half of it was read by somebody else: what is left is less than the file says it has.
        fseek($half, 5);
        try {
            $files->writeStream('cd/half', $half, new Config());
            self::fail('it was taken');
        } catch (UnableToWriteFile $error) {
            self::assertStringContainsString('did not take all of it', $error->getMessage());
        }
        self::assertSame([], $this->in('cd'));
        self::assertFalse($files->fileExists('cd/half'));
    }

    public function testAFolderThatCannotBeMadeIsTold(): void
    {
        file_put_contents("{$this->folder}/taken", '');
        $this->expectException(UnableToWriteFile::class);
        (new DurableLocalFiles($this->folder))->write('taken/photograph', 'x', new Config());
    }

    /** @return list<string> */
    private function in(string $folder): array
    {
        return array_values(array_diff(scandir("{$this->folder}/$folder") ?: [], ['.', '..']));
    }
}
