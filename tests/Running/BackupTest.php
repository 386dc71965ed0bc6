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
            $files = static fn (string $folder): array => array_map(
                static fn (string $path): string => basename($path).' '.hash_file('sha256', $path),
                glob("$folder/files/*/*") ?: [],
            );
            self::assertSame($files($this->data), $files($data));
            self::assertFileEquals("{$this->data}/secret", "$data/secret");
            self::assertSame(
                ['0600'],
                array_values(array_unique(array_map(
                    static fn (string $path): string => substr(\sprintf('%o', fileperms($path)), -4),
                    [...(glob("$data/files/*/*") ?: []), "$data/telamon.db", "$data/secret", ...('folder' === $name ? glob("$to/files/*/*") ?: [] : [$to])],
                ))),
                'nobody else reads it',
            );
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

    public function testBesideWhatADatabaseLeftNothingIsRestored(): void
    {
        $to = DataFolder::root().'/backup-'.bin2hex(random_bytes(3));
        $this->command('telamon:backup', ['to' => $to]);
        $data = DataFolder::root().'/left-'.bin2hex(random_bytes(3));
        mkdir($data);
        file_put_contents("$data/telamon.db-wal", 'of another one');
        try {
            Backup::restore($to, $data);
            self::fail('it would be read as a part of it');
        } catch (NotBackedUp $refused) {
            self::assertStringContainsString('telamon.db-wal', $refused->getMessage());
        }
    }

    public function testAFileThatIsNotAsItWasIsFound(): void
    {
        $image = imagecreatetruecolor(8, 8);
        self::assertNotFalse($image);
        imagejpeg($image, "{$this->data}/p.jpg");
        $this->inquire(['photos' => [$this->upload("{$this->data}/p.jpg", 'p.jpg')->ok(201)->text('id')]])->ok(201);
        $to = DataFolder::root().'/backup-'.bin2hex(random_bytes(3));
        $this->command('telamon:backup', ['to' => $to]);
        self::assertSame(1, Backup::check($to)['files']);
        $file = (glob("$to/files/*/*") ?: [''])[0];
        $bytes = (string) file_get_contents($file);
        $bytes[20] = \chr(\ord($bytes[20]) ^ 1);
        file_put_contents($file, $bytes);
        $this->expectExceptionMessage('not as it was');
        Backup::check($to);
    }

    public function testANewerDatabaseIsRefusedAndTheOldOneIsKeptBeforeAnUpdate(): void
    {
        $this->db()->executeStatement("INSERT INTO doctrine_migration_versions (version) VALUES ('TelamonMigrations\\Version20990101000000')");
        self::assertStringContainsString('written by a newer Telamon', $this->command('telamon:database:update', [], 1));
        $this->db()->executeStatement("DELETE FROM doctrine_migration_versions WHERE version LIKE '%2099%'");
        self::assertSame([], glob("{$this->data}/before-update/*") ?: []);
        $this->command('telamon:database:update');
        self::assertSame([], glob("{$this->data}/before-update/*") ?: [], 'nothing was due');
    }

    public function testAMissingSecretIsRefusedNotReplaced(): void
    {
        $console = DataFolder::console($this->data, 'list');
        $console->setEnv(['APP_SECRET' => ''] + $console->getEnv());
        @unlink("{$this->data}/secret");
        self::assertSame(1, $console->run());
        self::assertStringContainsString('its secret is missing', $console->getErrorOutput());
        self::assertStringNotContainsString('Stack trace', $console->getErrorOutput().$console->getOutput());
        self::assertFileDoesNotExist("{$this->data}/secret");
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
        foreach (($db->query(
            "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'search_text%' ORDER BY name",
        ) ?: throw new \LogicException('no tables'))->fetchAll(\PDO::FETCH_COLUMN) as $table) {
            \assert(\is_string($table));
            $dump .= "$table ".hash('sha256', serialize(($db->query("SELECT * FROM \"$table\"") ?: throw new \LogicException('no rows'))->fetchAll(\PDO::FETCH_NUM)))."\n";
        }

        return $dump;
    }
}
