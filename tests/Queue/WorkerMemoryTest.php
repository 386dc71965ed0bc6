<?php

declare(strict_types=1);

namespace Telamon\Tests\Queue;

use Symfony\Component\Process\Process;
use Telamon\Database\Remembers;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;
use Telamon\Tests\Support\Books;
use Telamon\Tests\Support\DataFolder;

/** Workers that have stood idle go by what the settings say now, not by what they said when they began. */
final class WorkerMemoryTest extends AppTestCase
{
    use AsksRows;
    use Books;

    /** Services that keep something for a while which is not made of records, or is let go of in another way. */
    private const OTHERWISE = [
        'Telamon\Queue\DueWorkCommand', 'Telamon\Journal\ColumnValues', 'Telamon\Journal\CurrentChange', 'Telamon\Tables\AnswersFollow',
        'Telamon\Matching\MatchKeyWriter', 'Telamon\Search\SearchWriter', 'Telamon\Http\OwnHosts', 'Telamon\Effects\Effects', 'Telamon\Booking\CalendarReader',
        // Made for one plan, not kept by anybody.
        'Telamon\Matching\CountedOnFile', 'Telamon\Diary\TimesAheadOf', 'Telamon\Effects\Making', 'Telamon\Quotes\QuoteSheet',
        'Telamon\Record\DomainEvent', 'Telamon\Database\ImmediateTransactions',
    ];

    public function testWhoeverKeepsWhatRecordsSayForgetsItWithThem(): void
    {
        $forgetful = 0;
        foreach (glob(\dirname(__DIR__, 2).'/src/*/*.php') ?: [] as $file) {
            $class = 'Telamon\\'.strtr(substr($file, \strlen(\dirname(__DIR__, 2).'/src/'), -4), '/', '\\');
            if (str_contains($file, '/Demo/') || !class_exists($class)) {
                continue;
            }
            $reflection = new \ReflectionClass($class);
            $isRecord = str_contains((string) file_get_contents($file), '#[ORM\\');
            $keeps = array_filter(
                $reflection->getProperties(\ReflectionProperty::IS_PRIVATE),
                static fn (\ReflectionProperty $one): bool => !$one->isReadOnly() && !$one->isStatic() && $one->getDeclaringClass()->getName() === $class,
            );
            if ([] !== $keeps && !$isRecord && !\in_array($class, self::OTHERWISE, true)) {
                self::assertTrue($reflection->implementsInterface(Remembers::class), "$class keeps something; where that comes from records, it is a Remembers");
                ++$forgetful;
            }
        }
        self::assertGreaterThan(4, $forgetful);
    }

    public function testALetterAfterTheSettingsChangedIsReadAndAnsweredByThem(): void
    {
        $this->signIn();
        $this->inquire()->ok(201);
        $this->work();
        $this->accept($this->lastSubmission())->ok();
        $this->work();
        $t = $this->begin('Wilf Ambry', 'wilf@example.com');
        $this->book($t, $this->starts($t, 'tuning')[0])->ok(201);
        $this->work();
        $message = $this->id("SELECT id FROM message WHERE template = 'confirmation'");
        $worker = DataFolder::console($this->data, 'telamon:due:work', '--time-limit=60');
        $worker->setEnv(['TELAMON_CLOCK_SHIFT' => (string) (strtotime(self::NOW) - time())] + $worker->getEnv());
        $worker->start();
        try {
            // It has looked at everything once, with the business as it is called now.
            $this->until($worker, fn (): bool => (int) $this->number('SELECT COUNT(*) FROM due_work WHERE taken_until IS NULL') > 10);
            $this->db()->executeStatement("UPDATE message_template SET asks = 'decision' WHERE code = 'confirmation'");
            $this->db()
                ->executeStatement(
                    "UPDATE business SET name = 'Marrowby Pianos and Harps', email = 'new@marrowby.example', coordinator_id = (SELECT id FROM staff WHERE email = 'sorcha@marrowby.example')",
                );
            $this->db()->executeStatement("UPDATE staff SET name = 'Sorcha Vell-Anders' WHERE email = 'sorcha@marrowby.example'");
            $this->letter($message, 'No thank you, we have decided against it.');
            $this->until($worker, fn (): bool => '1' === $this->number('SELECT COUNT(*) FROM incoming'));
            $this->until($worker, fn (): bool => [] !== glob("{$this->data}/mail-in/taken/*.eml"));
            self::assertSame('0', $this->number('SELECT COUNT(*) FROM due_trouble'), (string) json_encode($this->db()->fetchAllAssociative('SELECT * FROM due_trouble')));
            self::assertSame('1', $this->number("SELECT COUNT(*) FROM task WHERE name LIKE '%says no%'"));
            $this->db()->executeStatement("UPDATE appointment SET starts_at = datetime(starts_at, '+7 days'), ends_at = datetime(ends_at, '+7 days')");
            $this->until($worker, fn (): bool => '1' === $this->number("SELECT COUNT(*) FROM message WHERE template = 'moved'"));
            $this->letter('', 'What would a tuning cost, and when could you come?');
            $this->until($worker, fn (): bool => '3' === $this->number('SELECT COUNT(*) FROM submission'));
        } finally {
            $worker->stop(5, \SIGTERM);
        }
        self::assertSame('new@marrowby.example Marrowby Pianos and Harps', $this->db()->fetchOne("SELECT from_address || ' ' || from_name FROM message WHERE template = 'moved'"));
        self::assertSame([], glob("{$this->data}/mail-in/not-read/*") ?: []);
    }

    private function letter(string $answers, string $words): void
    {
        $name = bin2hex(random_bytes(4));
        $folder = "{$this->data}/mail-in";
        is_dir($folder) || mkdir($folder);
        file_put_contents(
            "$folder/$name.part",
            "From: orla.fennick@example.com\r\nSubject: ".('' === $answers ? 'Another piano' : 'Re: your letter')."\r\nMessage-ID: <$name@example.com>\r\n".('' === $answers ? '' : "In-Reply-To: <$answers@marrowby.example>\r\n")."\r\n$words\r\n",
        );
        touch("$folder/$name.part", time() - 60);
        rename("$folder/$name.part", "$folder/$name.eml");
    }

    /** @param callable(): bool $holds */
    private function until(Process $worker, callable $holds): void
    {
        $end = hrtime(true) + 25_000_000_000;
        while (!$holds()) {
            self::assertTrue($worker->isRunning(), $worker->getErrorOutput());
            self::assertLessThan($end, hrtime(true), 'it does not come: '.json_encode($this->db()->fetchAllAssociative('SELECT * FROM due_trouble')));
            usleep(50_000);
        }
    }
}
