<?php

declare(strict_types=1);

namespace Telamon\Tests\Setup;

use PHPUnit\Framework\Attributes\DataProvider;
use Telamon\Tests\Support\AppTestCase;

/** What a plan needs of the settings is kept between requests: it must never be what it was before. */
final class RememberedTest extends AppTestCase
{
    private string $id = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $this->inquire()->ok(201);
        $this->id = $this->lastSubmission();
        $this->plan();
    }

    #[DataProvider('changes')]
    public function testThePlanFollowsWhateverIsChanged(string $sql, string $gone, string $there): void
    {
        self::assertStringContainsString($gone, $this->plan());
        self::assertGreaterThan(0, $this->db()->executeStatement($sql));
        self::assertStringNotContainsString($gone, $this->plan());
        self::assertStringContainsString($there, $this->plan());
        self::assertSame($this->plan(), $this->plan());
    }

    /** @return iterable<string, array{string, string, string}> by whatever way: nobody goes through the application here */
    public static function changes(): iterable
    {
        yield 'whoever leads' => ["UPDATE staff SET name = 'Sorcha Quill' WHERE name = 'Sorcha Vell'", 'for Sorcha Vell', 'for Sorcha Quill'];
        yield 'a service' => ["UPDATE service SET name = 'Mending' WHERE code = 'repair'", 'Open Repair', 'Open Mending'];
        yield 'a checklist' => ["UPDATE checklist_template SET items = replace(items, 'First talk', 'A long talk') WHERE is_base = 1", 'First talk', 'A long talk'];
        yield 'a message' => ["UPDATE message_template SET name = 'Thank you' WHERE code = 'confirmation'", 'We have your inquiry', 'Thank you'];
        yield 'the business' => ["UPDATE business SET asset_word = 'harmonium'", 'Add piano', 'Add harmonium'];
    }

    public function testWhatWasRolledBackIsNotTakenForWhatComesAfter(): void
    {
        $before = $this->version();
        $this->db()->beginTransaction();
        $this->db()->executeStatement("UPDATE staff SET name = 'Nobody' WHERE name = 'Sorcha Vell'");
        $during = $this->version();
        self::assertNotSame($before, $during);
        $this->db()->rollBack();
        self::assertSame($before, $this->version());
        $this->db()->executeStatement("UPDATE staff SET name = 'Sorcha Quill' WHERE name = 'Sorcha Vell'");
        self::assertNotContains($this->version(), [$before, $during]);
        self::assertStringContainsString('Sorcha Quill', $this->plan());
    }

    public function testARuleCountsFromTheNextPlanOn(): void
    {
        $rule = $this->post('/api/rules', ['name' => 'Note it', 'enabled' => true, 'then' => [['kind' => 'note', 'text' => 'Bring the kit.']]])->ok(201);
        self::assertStringContainsString('Bring the kit.', $this->plan());
        $this->call('DELETE', '/api/rules/'.$rule->text('id'))->ok();
        self::assertStringNotContainsString('Bring the kit.', $this->plan());
    }

    /** Its lines, as people read them. */
    private function plan(): string
    {
        $words = '';
        foreach ($this->get("/api/submissions/{$this->id}")->ok()->rows('plan.lines') as $line) {
            foreach (\is_array($line['parts']) ? $line['parts'] : [] as $part) {
                $words .= \is_array($part) && \is_string($part['text']) ? $part['text'] : '';
            }
            $words .= "\n";
        }

        return $words;
    }

    private function version(): string
    {
        $version = $this->db()->fetchOne('SELECT version FROM setup_version');

        return \is_string($version) ? $version : '';
    }
}
