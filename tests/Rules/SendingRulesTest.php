<?php

declare(strict_types=1);

namespace Telamon\Tests\Rules;

use Telamon\Tests\Quotes\WritesQuotes;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** A rule has a client sign, or fill in a form. */
final class SendingRulesTest extends AppTestCase
{
    use AsksRows;
    use WritesQuotes;

    public function testAnAcceptedQuoteSendsTheAgreementOnce(): void
    {
        $this->rule('Sign', 'quote-accepted', ['kind' => 'sign']);
        $this->rule('Sign too', 'quote-accepted', ['kind' => 'sign']);
        $this->sayYes();
        self::assertSame('1', $this->number('SELECT COUNT(*) FROM agreement'));
        self::assertStringContainsString('Orla Fennick', $this->id('SELECT text FROM agreement'));
        self::assertStringContainsString($this->id('SELECT number FROM quote'), $this->id('SELECT text FROM agreement'), 'what they said yes to stands in it');
        $this->clock->modify('+1 hour');
        $this->work();
        self::assertSame('1', $this->number("SELECT COUNT(*) FROM message WHERE template = 'agreement-sign' AND state = 'sent'"));
    }

    public function testWhereNoAgreementCanGoStaffAreTold(): void
    {
        $this->rule('Sign', 'quote-accepted', ['kind' => 'sign']);
        $token = $this->sent();
        $this->db()->executeStatement("DELETE FROM contact_point WHERE kind = 'email'");
        $this->yes($token);
        self::assertSame('0', $this->number('SELECT COUNT(*) FROM agreement'));
        self::assertStringContainsString('No agreement sent, as Orla Fennick has no mail address', $this->id('SELECT words FROM notice ORDER BY rowid DESC'));
    }

    public function testAnInquirySendsAForm(): void
    {
        $this->rule('More', '', ['kind' => 'form', 'form' => 'piano-inquiry']);
        $this->signIn();
        $this->inquire(['name' => 'Tilda Marsh', 'email' => 'tilda@example.org', 'phone' => null])->ok(201);
        self::assertStringContainsString('Send the client a link to the form ', $this->get('/api/submissions/'.$this->lastSubmission())->ok()->body);
        $this->accept($this->lastSubmission())->ok();
        self::assertSame('tilda@example.org', $this->id("SELECT to_address FROM message WHERE template = 'fill-in'"));
    }

    public function testAFormThatIsGoneIsNamed(): void
    {
        $rule = $this->post('/api/rules', ['name' => 'More', 'then' => [['kind' => 'form', 'form' => 'nowhere']], 'enabled' => true, 'why' => '']);
        if (201 === $rule->status) {
            $this->inquire(['name' => 'Tilda Marsh', 'email' => 'tilda@example.org'])->ok(201);
            self::assertStringContainsString('a form that is not published any more', $this->get('/api/submissions/'.$this->lastSubmission())->ok()->body);
        } else {
            self::assertSame(422, $rule->status);
        }
    }

    /** @param array<string, string> $then */
    private function rule(string $name, string $when, array $then): void
    {
        $this->post('/api/rules', ['name' => $name, 'then' => [$then], 'enabled' => true, 'why' => ''] + ('' === $when ? [] : ['when' => $when]))->ok(201);
    }

    private function sayYes(): void
    {
        $this->yes($this->sent());
    }

    private function yes(string $token): void
    {
        $total = $this->post("/api/public/quotes/$token/total", ['ticked' => []])->ok()->text('total');
        $this->post("/api/public/quotes/$token/accept", ['ticked' => [], 'total' => $total, 'name' => 'Orla Fennick'])->ok();
    }
}
