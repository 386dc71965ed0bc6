<?php

declare(strict_types=1);

namespace Telamon\Tests\Clients;

use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** What a stranger brings to a client on file is believed for nothing until a person confirms it. */
final class NotConfirmedTest extends AppTestCase
{
    use AsksRows;

    public function testAStrangersAddressHangsOnAClientWithoutBeingWrittenTo(): void
    {
        $this->signIn();
        $this->inquire(['email' => 'orla.fennick@example.com', 'phone' => '020 914 3327'])->ok(201);
        $this->work();
        $this->accept($this->lastSubmission())->ok();
        $client = $this->id('SELECT id FROM client');
        // Name, number and place are no secret.
        $this->inquire(['email' => 'stranger@example.org', 'phone' => '020 914 3327', 'matter' => 'Send me the quote here.'])->ok(201);
        $this->work();
        $id = $this->lastSubmission();
        $plan = $this->get("/api/submissions/$id")->ok();
        self::assertSame(200, $this->accept($id, $this->decisions($plan->rows('plan.lines'), $client))->status);
        $points = array_column($this->get("/api/clients/$client")->ok()->rows('contactPoints'), 'confirmed', 'value');
        ksort($points);
        self::assertSame(['+353209143327' => true, 'orla.fennick@example.com' => true, 'stranger@example.org' => false], $points);

        $quote = $this->post('/api/quotes', ['project' => $this->id('SELECT id FROM project LIMIT 1')])->ok(201);
        $kept = $this->call(
            'PUT',
            '/api/quotes/'.$quote->text('id'),
            [
                'version' => $quote->number('version'),
                'content' => ['lines' => [[
                    'key' => 'l1',
                    'name' => 'First visit',
                    'quantity' => '1',
                    'price' => '65.00',
                    'vat' => ['category' => 'S', 'rate' => '13.5'],
                ]]] + $quote->map('content'),
            ],
        )
            ->ok();
        $this->post('/api/quotes/'.$quote->text('id').'/send', ['version' => $kept->number('version')])->ok();
        self::assertSame('orla.fennick@example.com', $this->db()->fetchOne("SELECT to_address FROM message WHERE template = 'quote'"));

        // Even where it is the only mail address of somebody whose number a person knows.
        $this->db()->executeStatement("DELETE FROM contact_point WHERE value = 'orla.fennick@example.com'");
        $again = $this->post('/api/quotes', ['project' => $this->id('SELECT id FROM project LIMIT 1')])->ok(201);
        $kept = $this->call('PUT', '/api/quotes/'.$again->text('id'), ['version' => $again->number('version'), 'content' => $kept->map('content')])->ok();
        $this->post('/api/quotes/'.$again->text('id').'/send', ['version' => $kept->number('version')])->ok(422);

        $point = $this->id("SELECT id FROM contact_point WHERE value = 'stranger@example.org'");
        $saved = $this->call(
            'PUT',
            "/api/clients/$client",
            [
                'version' => $this->get("/api/clients/$client")->ok()->number('version'),
                'contactPoints' => [['id' => $point, 'was' => 'stranger@example.org', 'kind' => 'email', 'value' => 'stranger@example.org']],
            ],
        )
            ->ok();
        self::assertTrue(array_column($saved->rows('contactPoints'), 'confirmed', 'value')['stranger@example.org'], 'a person has looked at it and saved it');
        $this->post('/api/quotes/'.$again->text('id').'/send', ['version' => $this->get('/api/quotes/'.$again->text('id'))->ok()->number('version')])->ok();
    }

    public function testWhoeverIsNewIsReachedByWhatTheyGave(): void
    {
        $this->signIn();
        $this->inquire(['email' => 'orla.fennick@example.com'])->ok(201);
        $this->work();
        $this->accept($this->lastSubmission())->ok();
        self::assertSame('1', $this->number("SELECT COUNT(*) FROM message WHERE template = 'confirmation' AND to_address = 'orla.fennick@example.com'"));
        self::assertSame('1', $this->number("SELECT confirmed FROM contact_point WHERE kind = 'email'"));
    }

    /**
     * @param list<array<string, mixed>> $lines
     *
     * @return array<string, string> the likeliest choice of each open question
     */
    private function decisions(array $lines, string $client): array
    {
        $decisions = [];
        foreach ($lines as $line) {
            if (\is_array($line['choice'] ?? null) && \is_string($line['key'] ?? null) && \is_array($line['choice']['options'] ?? null)) {
                foreach ($line['choice']['options'] as $option) {
                    if (\is_array($option) && \is_string($option['value'] ?? null) && str_contains($option['value'], $client)) {
                        $decisions[$line['key']] = $option['value'];
                    }
                }
            }
        }

        return $decisions;
    }
}
