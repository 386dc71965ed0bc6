<?php

declare(strict_types=1);

namespace Telamon\Tests\Drafts;

use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** What is typed and not saved: kept by person and name, and never overwritten unseen. */
final class DraftTest extends AppTestCase
{
    use AsksRows;

    public function testWhatIsTypedHereIsThereOnAnotherDeviceAsItWas(): void
    {
        $this->signIn();
        $words = ['text' => "Dear Orla,\n“{{nosuch}}” <b>&amp; \u{1F3B9}", 'files' => [], 'papers' => new \stdClass(), 'price' => 2.5, 'to' => null];
        $kept = $this->call('PUT', '/api/drafts/write.new', ['revision' => 0, 'value' => $words])->ok();
        self::assertSame(1, $kept->number('revision'));

        $this->signIn();
        self::assertSame([['write.new'], [1]], [$this->get('/api/drafts')->ok()->column('items', 'name'), $this->get('/api/drafts')->ok()->column('items', 'revision')]);
        $this->get('/api/drafts/write.new')->ok();
        self::assertSame(json_encode($words), json_encode($this->value()));
    }

    public function testASecondWindowOverwritesNothingUnseen(): void
    {
        $this->signIn();
        $this->keep('quote.x', 0, 'one')->ok();
        $this->keep('quote.x', 1, 'two')->ok();
        // The other window had seen only the first.
        $this->keep('quote.x', 1, 'another')->ok(409);
        $this->keep('quote.x', 0, 'another')->ok(409);
        self::assertSame('two', $this->get('/api/drafts/quote.x')->ok()->at('mine.value'));
        // An answer that did not come through is asked for again.
        self::assertSame(2, $this->keep('quote.x', 1, 'two')->ok()->number('revision'));
        // What it saves takes away what it has seen, and nothing that came after.
        $this->call('DELETE', '/api/drafts/quote.x?revision=1')->ok(409);
        $this->call('DELETE', '/api/drafts/quote.x?revision=2')->ok(204);
        self::assertNull($this->get('/api/drafts/quote.x')->ok()->at('mine'));
        // Saved there, still typed here: it is kept anew.
        self::assertSame(1, $this->keep('quote.x', 2, 'later')->ok()->number('revision'));
        $this->call('DELETE', '/api/drafts/nothing?revision=0')->ok(204);
    }

    public function testOthersSeeThatItIsBeingChangedButNotTheWords(): void
    {
        $this->signIn();
        $this->keep('price.p1', 0, 'mine alone')->ok();
        $this->signIn('sorcha@marrowby.example');
        $seen = $this->get('/api/drafts/price.p1')->ok();
        self::assertNull($seen->at('mine'));
        self::assertSame(['Nessa Quarle'], $seen->column('others', 'who'));
        self::assertStringNotContainsString('mine alone', (string) $this->browser->getResponse()->getContent());
        self::assertSame([], $this->get('/api/drafts')->ok()->at('items'));
        // Each has their own of one name.
        self::assertSame(1, $this->keep('price.p1', 0, 'the owner’s')->ok()->number('revision'));
        $this->call('DELETE', '/api/drafts/price.p1?revision=1')->ok(204);
        $this->signIn();
        self::assertSame('mine alone', $this->get('/api/drafts/price.p1')->ok()->at('mine.value'));
        self::assertSame([], $this->get('/api/drafts/price.p1')->ok()->at('others'));
    }

    public function testWhoMayNotReadARecordDoesNotLearnWhoChangesIt(): void
    {
        $this->inquire()->ok(201);
        $this->signIn();
        $this->accept($this->lastSubmission());
        $project = $this->id('SELECT id FROM project ORDER BY id DESC LIMIT 1');
        $this->keep("project.$project.title", 0, 'x')->ok();
        $this->keep('template.t1', 0, 'x')->ok();
        $this->signIn('pim@marrowby.example');
        self::assertSame([], $this->get("/api/drafts/project.$project.title")->ok()->at('others'));
        self::assertSame([], $this->get('/api/drafts/template.t1')->ok()->at('others'));
        $this->signIn('sorcha@marrowby.example');
        self::assertCount(1, $this->get("/api/drafts/project.$project.title")->ok()->rows('others'));
        self::assertCount(1, $this->get('/api/drafts/template.t1')->ok()->rows('others'));
    }

    public function testItIsBoundedAndChecked(): void
    {
        $this->signIn();
        $this->keep('a', 0, str_repeat('é', 131_070))->ok();
        self::assertArrayHasKey('value', $this->keep('b', 0, str_repeat('é', 131_072))->ok(422)->violations());
        $this->call('PUT', '/api/drafts/b', ['value' => 'x'])->ok(422);
        $this->call('PUT', '/api/drafts/b', ['revision' => 0])->ok(422);
        $this->call('PUT', '/api/drafts/b', ['revision' => -1, 'value' => 'x'])->ok(422);
        $staff = $this->id("SELECT id FROM staff WHERE email = 'coordinator@marrowby.example'");
        for ($i = 1; $i < 500; ++$i) {
            $this->db()->insert('draft', ['id' => "d$i", 'staff' => $staff, 'name' => "n$i", 'value' => '1', 'at' => '2026-11-24 10:00:00', 'revision' => 1]);
        }
        self::assertArrayHasKey('name', $this->keep('b', 0, 'x')->ok(422)->violations());
        $this->keep('a', 1, 'shorter')->ok();
    }

    public function testWhatNobodyTouchesForHalfAYearGoes(): void
    {
        $this->signIn();
        $this->keep('old', 0, 'x')->ok();
        $this->clock->modify('+100 days');
        $this->signIn();
        $this->keep('newer', 0, 'x')->ok();
        $this->byClock('drafts');
        self::assertSame(2, $this->countRows('draft'));
        $this->clock->modify('+81 days');
        $this->byClock('drafts');
        self::assertSame(['newer'], $this->db()->fetchFirstColumn('SELECT name FROM draft'));
    }

    /** What was kept, as it stands in the last answer: {} is not []. */
    private function value(): mixed
    {
        $answer = json_decode((string) $this->browser->getResponse()->getContent());

        return $answer instanceof \stdClass && $answer->mine instanceof \stdClass ? $answer->mine->value : null;
    }

    private function keep(string $name, int $revision, string $value): \Telamon\Tests\Support\Answer
    {
        return $this->call('PUT', "/api/drafts/$name", ['revision' => $revision, 'value' => $value]);
    }
}
