<?php

declare(strict_types=1);

namespace Telamon\Tests\Demo;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Filesystem\Filesystem;
use Telamon\Tests\Support\DataFolder;

final class LoadTest extends TestCase
{
    private string $data;

    protected function setUp(): void
    {
        $this->data = DataFolder::root().'/'.bin2hex(random_bytes(6));
        (new Filesystem())->mkdir($this->data);
    }

    protected function tearDown(): void
    {
        DataFolder::remove($this->data);
    }

    public function testTheDemoIsAliveAndLoadsOnce(): void
    {
        $this->console('telamon:database:update', '--quiet');
        self::assertStringContainsString('63 clients and 128 submissions', $this->console('telamon:demo:load'));
        self::assertStringContainsString('nothing was loaded', $this->console('telamon:demo:load'));
        $db = new \PDO("sqlite:{$this->data}/telamon.db");
        $count = static function (string $sql) use ($db): int {
            $result = $db->query($sql);
            $value = false === $result ? null : $result->fetchColumn();

            return is_numeric($value) ? (int) $value : -1;
        };
        self::assertSame(20, $count("SELECT COUNT(*) FROM submission WHERE state = 'waiting'"));
        self::assertGreaterThan(60, $count("SELECT COUNT(*) FROM submission WHERE state = 'accepted'"));
        self::assertGreaterThan(5, $count("SELECT COUNT(*) FROM submission WHERE state = 'set-aside'"));
        self::assertSame(6, $count("SELECT COUNT(*) FROM submission WHERE state = 'waiting' AND to_decide > 0"));
        self::assertGreaterThan(20, $count('SELECT COUNT(*) FROM attachment'));
        self::assertGreaterThan(0, $count("SELECT COUNT(*) FROM stored_file WHERE type = 'application/pdf'"));
        self::assertSame(0, $count("SELECT COUNT(*) FROM submission WHERE received_at > datetime('now')"));
        self::assertSame(0, $count("SELECT COUNT(*) FROM contact_point WHERE kind = 'phone' AND value NOT LIKE '+3532091%'"), 'numbers are fictional');
        self::assertSame(
            0,
            $count("SELECT COUNT(*) FROM contact_point WHERE kind = 'email' AND value NOT LIKE '%.example' AND value NOT LIKE '%@example.%'"),
            'addresses are examples',
        );
        self::assertStringContainsString('in sync', $this->console('doctrine:schema:validate'));
        self::assertDirectoryDoesNotExist("{$this->data}/demo");
    }

    public function testSettingUpWithoutTheDemoGivesAnOwnerOnce(): void
    {
        $this->console('telamon:database:update', '--quiet');
        self::assertMatchesRegularExpression('#owner@business\.example / [0-9a-f]{16}#', $this->console('telamon:set-up'));
        self::assertSame('', trim($this->console('telamon:set-up')));
        $wrong = DataFolder::console($this->data, 'telamon:set-up', '--time-zone=Nowhere');
        $wrong->run();
        self::assertSame(0, $wrong->getExitCode(), 'a business on file is left as it is');
    }

    public function testSettingUpWithAZoneThatIsNoneIsRefused(): void
    {
        $this->console('telamon:database:update', '--quiet');
        $wrong = DataFolder::console($this->data, 'telamon:set-up', '--time-zone=Nowhere');
        $wrong->run();
        self::assertSame(1, $wrong->getExitCode());
        self::assertStringContainsString('Europe/Dublin', $wrong->getOutput());
    }

    private function console(string ...$arguments): string
    {
        $process = DataFolder::console($this->data, ...$arguments)->mustRun();

        return $process->getOutput().$process->getErrorOutput();
    }
}
