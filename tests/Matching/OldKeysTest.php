<?php

declare(strict_types=1);

namespace Telamon\Tests\Matching;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;
use Telamon\Core\Matching\BlockingKeys;
use Telamon\Core\Matching\Person;
use Telamon\Core\Matching\ShortForms;
use Telamon\Tests\Support\DataFolder;

/** An installation of before: its clients were filed by their own address alone. */
final class OldKeysTest extends TestCase
{
    private string $data = '';

    protected function setUp(): void
    {
        $this->data = DataFolder::root().'/old-'.bin2hex(random_bytes(4));
        (new Filesystem())->mkdir($this->data);
    }

    protected function tearDown(): void
    {
        DataFolder::remove($this->data);
    }

    public function testWhoseThingsStandSomewhereIsFiledThereToo(): void
    {
        $this->console('doctrine:migrations:migrate', 'TelamonMigrations\\Version20261202010000');
        $db = new \PDO("sqlite:{$this->data}/telamon.db");
        $db->exec("INSERT INTO client (id, sort_name, given_name, family_name, address, since) VALUES ('c1', 'ambry', 'Wilf', 'Ambry', '', '2026-01-01'), ('c2', 'merrow', 'Una', 'Merrow', '', '2026-01-01')");
        $db->exec("INSERT INTO asset (id, client_id, description, place) VALUES ('a1', 'c1', 'Grand', '3 Mill Row, Marrowby'), ('a2', 'c1', 'Upright', '9 Quay, Corvane'), ('a3', 'c2', 'Square', '')");
        $mill = BlockingKeys::hash('a:3|'.$this->sound('mill'));
        $db->exec("INSERT INTO match_key (hash, client_id) VALUES ($mill, 'c1')");
        $this->console('telamon:database:update');

        $keys = (new BlockingKeys(new ShortForms()))->of(new Person('', '', '', [], [], '9 Quay', 'corvane'));
        self::assertNotSame([], $keys);
        $found = $db->prepare('SELECT client_id FROM match_key WHERE hash = ?');
        foreach ([...array_map(BlockingKeys::hash(...), array_filter($keys, static fn (string $key): bool => str_starts_with($key, 'a:'))), $mill] as $hash) {
            $found->execute([$hash]);
            self::assertSame(['c1'], $found->fetchAll(\PDO::FETCH_COLUMN), 'each once');
        }
        $others = $db->query("SELECT COUNT(*) FROM match_key WHERE client_id = 'c2'");
        self::assertSame(0, false === $others ? -1 : (int) $others->fetchColumn(), 'nothing of theirs stands anywhere');
    }

    private function sound(string $word): string
    {
        $keys = (new BlockingKeys(new ShortForms()))->of(new Person('', '', '', [], [], "3 $word row"));

        return explode('|', array_values(array_filter($keys, static fn (string $key): bool => str_starts_with($key, 'a:')))[0])[1];
    }

    private function console(string ...$arguments): void
    {
        (new Process([\PHP_BINARY, 'bin/console', ...$arguments, '-n'], \dirname(__DIR__, 2), ['TELAMON_DATA' => $this->data, 'APP_ENV' => 'test']))->mustRun();
    }
}
