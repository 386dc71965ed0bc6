<?php

declare(strict_types=1);

namespace Telamon\Tests\Running;

use Telamon\Running\Backup;
use Telamon\Running\NotBackedUp;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\CommandRun;
use Telamon\Tests\Support\DataFolder;

final class BackupTest extends AppTestCase
{
    use CommandRun;

    public function testWhatIsRestoredEqualsWhatWasBackedUp(): void
    {
        $image = imagecreatetruecolor(8, 8);
        self::assertNotFalse($image);
        imagejpeg($image, "{$this->data}/p.jpg");
        $id = $this->upload("{$this->data}/p.jpg", 'p.jpg')->ok(201)->text('id');
        $this->inquire(['photos' => [$id]])->ok(201);
        file_put_contents("{$this->data}/secret", str_repeat('a', 64));
        foreach (['folder', 'one.tar.gz'] as $name) {
            $to = DataFolder::root()."/backup-$name-".bin2hex(random_bytes(3)).('folder' === $name ? '' : '.tar.gz');
            self::assertStringContainsString('1 files', $this->command('telamon:backup', ['to' => $to]));
            self::assertStringContainsString('is there already', $this->command('telamon:backup', ['to' => $to], 1));
            $data = DataFolder::root().'/restored-'.bin2hex(random_bytes(3));
            DataFolder::console($data, 'telamon:restore', $to)->mustRun();
            self::assertSame($this->dump("{$this->data}/telamon.db"), $this->dump("$data/telamon.db"));
            $files = static fn (string $folder): array => array_map(static fn (string $path): string => basename($path).' '.hash_file('sha256', $path), glob("$folder/files/*/*") ?: []);
            self::assertSame($files($this->data), $files($data));
            self::assertFileEquals("{$this->data}/secret", "$data/secret");
            $again = DataFolder::console($data, 'telamon:restore', $to);
            self::assertSame(1, $again->run());
            self::assertStringContainsString('holds an installation already', $again->getOutput());
        }
    }

    public function testABackupThatIsNotWholeIsNotRestored(): void
    {
        $this->expectException(NotBackedUp::class);
        Backup::restore($this->data.'/nothing', DataFolder::root().'/never');
    }

    public function testALostPasswordIsReplaced(): void
    {
        self::assertStringContainsString('sorcha@marrowby.example', $this->command('telamon:staff:password', [], 1));
        preg_match('#/ (\w+)#', $this->command('telamon:staff:password', ['email' => 'sorcha@marrowby.example']), $password);
        $this->post('/api/session', ['email' => 'sorcha@marrowby.example', 'password' => 'telamon-demo'])->ok(401);
        $this->post('/api/session', ['email' => 'sorcha@marrowby.example', 'password' => $password[1] ?? ''])->ok();
    }

    private function dump(string $file): string
    {
        $db = new \PDO("sqlite:$file");
        $dump = '';
        foreach (($db->query("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'search_text%' ORDER BY name") ?: throw new \LogicException('no tables'))->fetchAll(\PDO::FETCH_COLUMN) as $table) {
            \assert(\is_string($table));
            $dump .= "$table ".hash('sha256', serialize(($db->query("SELECT * FROM \"$table\"") ?: throw new \LogicException('no rows'))->fetchAll(\PDO::FETCH_NUM)))."\n";
        }

        return $dump;
    }
}
