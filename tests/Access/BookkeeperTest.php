<?php

declare(strict_types=1);

namespace Telamon\Tests\Access;

use Telamon\Tests\Quotes\WritesQuotes;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** The bookkeeper reads quotes and prices, and nothing else. */
final class BookkeeperTest extends AppTestCase
{
    use AsksRows;
    use WritesQuotes;

    public function testQuotesAndPricesAreReadAndNotChanged(): void
    {
        $quote = $this->priced($this->draft()->ok(201))->ok();
        $id = $quote->text('id');
        $this->db()->executeStatement("UPDATE staff SET role = 'bookkeeper' WHERE email = 'pim@marrowby.example'");
        $session = $this->signIn('pim@marrowby.example');
        self::assertSame('bookkeeper', $session->text('user.roleName'));
        self::assertSame([$id], $this->get('/api/quotes')->ok()->column('items', 'id'));
        self::assertSame($id, $this->get("/api/quotes/$id")->ok()->text('id'));
        self::assertStringContainsString('%PDF', $this->get("/api/quotes/$id/pdf")->ok()->body);
        self::assertNotSame([], $this->get('/api/prices')->ok()->rows('items'));

        foreach (["/api/quotes/$id/send", "/api/quotes/$id/revise", "/api/quotes/$id/withdraw", '/api/quotes', '/api/prices', '/api/prices/import', '/api/agreements'] as $path) {
            $this->post($path, ['version' => $quote->number('version')])->ok(403);
        }
        $this->call('PUT', "/api/quotes/$id", ['version' => $quote->number('version'), 'content' => $quote->map('content')])->ok(403);
        $this->call('PUT', '/api/prices/setup', $this->usual())->ok(403);
        foreach (['/api/submissions', '/api/messages', '/api/forms', '/api/rules', "/api/projects/{$this->project}", '/api/clients/'.$this->id('SELECT id FROM client')] as $path) {
            $this->get($path)->ok(403);
        }
        self::assertSame([], $this->get('/api/clients')->ok()->rows('items'));
        self::assertSame('draft', $this->id('SELECT state FROM quote'));
    }

    public function testSomebodyIsMadeOneAndATaskAsksForTheirApproval(): void
    {
        $setup = $this->get('/api/setup')->ok();
        self::assertContains(['value' => 'bookkeeper', 'label' => 'bookkeeper', 'says' => 'quotes and prices, to read', 'approver' => 'the bookkeeper'], $setup->rows('roles'));
        $this->post('/api/setup/staff', ['name' => 'Bram Ledger', 'email' => 'bram@marrowby.example', 'role' => 'bookkeeper'])->ok(201);
        self::assertSame('bookkeeper', $this->id("SELECT role FROM staff WHERE email = 'bram@marrowby.example'"));
        $this->post('/api/setup/staff', ['name' => 'Nobody', 'email' => 'nobody@marrowby.example', 'role' => 'captain'])->ok(422);
        $item = static fn (string $approval): array => ['name' => "By $approval", 'items' => [['key' => 'pay', 'name' => 'Pay', 'doer' => 'lead', 'approval' => $approval]]];
        $this->post('/api/checklists', $item('bookkeeper'))->ok(201);
        self::assertSame('items.0.approval', $this->post('/api/checklists', $item('captain'))->ok(422)->text('violations.0.path'));
    }
}
