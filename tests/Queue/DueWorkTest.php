<?php

declare(strict_types=1);

namespace Telamon\Tests\Queue;

use Symfony\Component\Process\Process;
use Telamon\Queue\DueTroubles;
use Telamon\Queue\DueWork;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;
use Telamon\Tests\Support\DataFolder;

/** Work by the clock: by one process at a time, one piece after the other, none kept up by one that fails, and told where it is stuck. */
final class DueWorkTest extends AppTestCase
{
    use AsksRows;

    public function testTwoProcessesTakeEveryLetterInOnce(): void
    {
        $folder = "{$this->data}/mail-in";
        mkdir($folder);
        for ($i = 0; $i < 12; ++$i) {
            // Without a Message-ID, nothing but the claim keeps one from being two.
            file_put_contents("$folder/$i.eml", "From: somebody$i@example.org\r\nSubject: Letter $i\r\n\r\nWhat would a tuning cost?\r\n");
            touch("$folder/$i.eml", time() - 10);
        }
        $both = array_map(fn (): Process => DataFolder::console($this->data, 'telamon:due:work', '--once'), [1, 2]);
        array_walk($both, static fn (Process $one) => $one->start());
        array_walk($both, static fn (Process $one) => $one->wait());
        self::assertSame(['', ''], array_map(static fn (Process $one): string => $one->getErrorOutput(), $both));
        $this->byClock('mail-in');
        self::assertSame(['12', '12'], [$this->number('SELECT COUNT(*) FROM incoming'), $this->number('SELECT COUNT(*) FROM submission')]);
        self::assertCount(12, glob("$folder/taken/*.eml") ?: []);
    }

    public function testOneThatFailsIsTriedAgainWithGrowingWaitsAndToldOnTodayAndInHealth(): void
    {
        mkdir("{$this->data}/mail-in");
        file_put_contents("{$this->data}/mail-in/a.eml", "From: mona@example.org\r\nSubject: Refused\r\n\r\nHello.\r\n");
        touch("{$this->data}/mail-in/a.eml", time() - 10);
        $this->db()->executeStatement("CREATE TRIGGER refuse BEFORE INSERT ON submission BEGIN SELECT RAISE(ABORT, 'no room'); END");
        $tries = function (): string {
            $this->byClock('mail-in');

            return $this->number('SELECT COALESCE(MAX(tries), 0) FROM due_trouble');
        };
        $told = function (): int {
            $this->signIn();

            return \count(array_filter(
                $this->get('/api/today')->ok()->column('standsOut', 'words'),
                static fn (mixed $words): bool => \is_string($words) && str_contains($words, 'mail-in: could not be done, tried 3 times. '),
            ));
        };
        self::assertSame('1', $tries());
        $this->clock->sleep(59);
        self::assertSame('1', $tries(), 'a minute later');
        $this->clock->sleep(2);
        self::assertSame('2', $tries());
        $this->clock->sleep(200);
        self::assertSame('2', $tries(), 'then four minutes');
        self::assertSame(0, $told(), 'what may pass by itself is not told');
        self::assertSame('ok', $this->get('/api/health')->ok()->text('status'));
        $this->clock->sleep(41);
        self::assertSame('3', $tries());
        self::assertSame(1, $told());
        self::assertSame(['troubled', 1], [$this->get('/api/health')->ok()->text('status'), $this->get('/api/health')->ok()->number('work.stuck')]);
        $this->db()->executeStatement('DROP TRIGGER refuse');
        $this->clock->sleep(16 * 60 + 1);
        self::assertSame('0', $tries());
        self::assertSame(0, $told());
        self::assertSame('1', $this->number('SELECT COUNT(*) FROM submission'));
    }

    public function testNobodyLookingAnyMoreIsTold(): void
    {
        $this->byClock();
        $this->signIn();
        self::assertSame([], $this->get('/api/health')->ok()->at('work.stalled'));
        $this->db()->executeStatement("UPDATE due_work SET next_at = looked_at + 5 WHERE name = 'reminders'");
        $this->clock->sleep(299);
        self::assertSame([], $this->get('/api/health')->ok()->at('work.stalled'));
        $this->clock->sleep(10);
        self::assertStringContainsString('"reminders"', $this->get('/api/health')->ok()->body);
        self::assertStringContainsString('Nothing is done by the clock', $this->get('/api/today')->ok()->body);
    }

    public function testAHostThatFailsThreeTimesIsLeftAloneForAWhile(): void
    {
        $troubles = self::getContainer()->get(DueTroubles::class);
        self::assertInstanceOf(DueTroubles::class, $troubles);
        foreach ([false, false, true] as $i => $alone) {
            $troubles->hostFailed('chat.example', 'answered 503');
            self::assertSame($alone, $troubles->isLeftAlone('chat.example'), (string) $i);
        }
        self::assertFalse($troubles->isLeftAlone('other.example'));
        self::assertFalse($troubles->isLeftAlone(''));
        $this->clock->sleep(901);
        self::assertFalse($troubles->isLeftAlone('chat.example'), 'a quarter of an hour at the most');
        $troubles->hostFailed('chat.example', 'answered 503');
        self::assertTrue($troubles->isLeftAlone('chat.example'));
        $troubles->hostAnswers('chat.example');
        self::assertFalse($troubles->isLeftAlone('chat.example'));
        self::assertSame([], $troubles->stuck(), 'a host is no work');
    }

    public function testADamagedDatabaseIsToldAtOnce(): void
    {
        $this->byClock('soundness');
        self::assertSame('1', $this->number("SELECT COUNT(*) FROM installation_note WHERE name = 'sound'"));
        $this->clock->modify('+1 day');
        // A column that must hold something, with nothing in it: what a page written half looks like to whoever reads it.
        $this->db()->executeStatement('CREATE TABLE torn (a TEXT)');
        $this->db()->executeStatement('INSERT INTO torn VALUES (NULL)');
        $this->db()->executeStatement('PRAGMA writable_schema = ON');
        $this->db()->executeStatement("UPDATE sqlite_schema SET sql = 'CREATE TABLE torn (a TEXT NOT NULL)' WHERE name = 'torn'");
        $this->db()->executeStatement('PRAGMA writable_schema = RESET');
        $this->byClock('soundness');
        $this->signIn();
        self::assertStringContainsString('The database is damaged', $this->get('/api/today')->ok()->body);
        self::assertSame('troubled', $this->get('/api/health')->ok()->text('status'));
    }

    public function testEveryKindOfWorkHasANameOfItsOwnAndWords(): void
    {
        $words = [];
        foreach (glob(\dirname(__DIR__, 2).'/src/*/*.php') ?: [] as $file) {
            $class = 'Telamon\\'.strtr(substr($file, \strlen(\dirname(__DIR__, 2).'/src/'), -4), '/', '\\');
            if (is_subclass_of($class, DueWork::class) && !interface_exists($class)) {
                $work = self::getContainer()->get($class);
                self::assertInstanceOf(DueWork::class, $work);
                self::assertArrayNotHasKey($work->name(), $words);
                self::assertMatchesRegularExpression('/^[a-z-]{3,40}$/', $work->name());
                self::assertGreaterThan(0, $work->every());
                $words[$work->name()] = $work->words();
            }
        }
        self::assertGreaterThan(12, \count($words));
        self::assertCount(\count($words), array_unique($words));
    }
}
