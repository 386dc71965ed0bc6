<?php

declare(strict_types=1);

namespace Telamon\Tests\FollowUps;

use Telamon\Tests\Quotes\WritesQuotes;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** A follow-up sends a form or the drafted quote by itself; where it cannot, staff are told. */
final class SendingStepsTest extends AppTestCase
{
    use AsksRows;
    use WritesQuotes;

    public function testAFormGoesOutAndItsAnswersAreKnownToBeTheirs(): void
    {
        self::assertContains('piano-inquiry', array_column($this->get('/api/follow-ups')->ok()->rows('forms'), 'value'));
        $run = $this->begin(['key' => 'f', 'kind' => 'form', 'what' => 'piano-inquiry']);
        self::assertStringContainsString('sent the form /f/piano-inquiry', $run);
        $mail = $this->mail('fill-in');
        self::assertStringContainsString('“Tell us about your piano”', $mail, 'as the client sees it called');
        self::assertSame(1, preg_match('#/f/piano-inquiry\?for=(\S+)#', $mail, $m));
        self::assertStringNotContainsString('orla', strtolower(rawurldecode($m[1])), 'nobody is named in the address');
    }

    public function testTheDraftedQuoteGoesOutOnce(): void
    {
        $quote = $this->priced($this->draft()->ok(201))->ok();
        $run = $this->begin(['key' => 'q', 'kind' => 'quote'], ['key' => 'q2', 'kind' => 'quote']);
        self::assertStringContainsString('sent '.$quote->text('number'), $run);
        self::assertStringContainsString('as they have '.$quote->text('number').' already', $run);
        self::assertSame('sent', $this->id('SELECT state FROM quote'));
        self::assertStringContainsString($quote->text('number'), $this->mail('quote'));
        self::assertStringContainsString('Orla Fennick: no quote sent, as they have', $this->told());
    }

    public function testAQuoteThatLacksSomethingStaysAndStaffAreTold(): void
    {
        $this->draft()->ok(201);
        $run = $this->begin(['key' => 'q', 'kind' => 'quote']);
        self::assertStringContainsString('not sent:', $run);
        self::assertSame('draft', $this->id('SELECT state FROM quote'));
        self::assertStringContainsString('not sent:', $this->told());
        self::assertStringContainsString('Orla Fennick', $this->told());
    }

    public function testWithoutADraftNothingIsSentAndStaffAreTold(): void
    {
        self::assertStringContainsString('none is drafted', $this->begin(['key' => 'q', 'kind' => 'quote']));
        self::assertStringContainsString('none is drafted', $this->told());
    }

    public function testAFormThatIsNotPublishedIsRefused(): void
    {
        foreach (['nowhere', ''] as $form) {
            $gone = $this->post('/api/follow-ups', ['name' => 'Gone', 'courses' => ['main' => [['key' => 'f', 'kind' => 'form', 'what' => $form]]]])->ok(422);
            self::assertSame('courses.main.0.what', $gone->text('violations.0.path'));
        }
    }

    public function testSomebodyRunsItWithThemselves(): void
    {
        $sent = $this->post(
            '/api/follow-ups/to-me',
            ['name' => 'All', 'courses' => ['main' => [['key' => 'q', 'kind' => 'quote'], ['key' => 'f', 'kind' => 'form', 'what' => 'piano-inquiry']]]],
        )
            ->ok();
        self::assertSame(2, $sent->number('sent'));
    }

    /** @param array<string, string> ...$steps of the one follow-up that is begun. Returns it as it is shown. */
    private function begin(array ...$steps): string
    {
        $id = $this->post('/api/follow-ups', ['name' => 'One', 'courses' => ['main' => [...$steps, ['key' => 'w', 'kind' => 'wait', 'amount' => 5, 'unit' => 'days']]]])
            ->ok(201)
            ->text('id');
        $this->post("/api/follow-ups/$id/switch", ['on' => true])->ok();
        $this->post("/api/follow-ups/$id/begin", ['client' => $this->id('SELECT id FROM client'), 'project' => $this->project])->ok(201);
        $this->clock->modify('+1 hour');
        $this->work();

        return stripslashes($this->get("/api/follow-ups/$id")->ok()->body);
    }

    private function mail(string $template): string
    {
        return $this->id("SELECT text FROM message WHERE template = '$template' AND state = 'sent'");
    }

    private function told(): string
    {
        return $this->id('SELECT words FROM notice ORDER BY rowid DESC');
    }
}
