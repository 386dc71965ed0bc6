<?php

declare(strict_types=1);

namespace Telamon\Tests\Search;

use Telamon\Tests\Support\AppTestCase;

final class SearchTest extends AppTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $this->inquire(['name' => 'Órla Fennick', 'matter' => 'The castors squeak.'])->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->inquire(['name' => 'Tess Quill', 'email' => 'tess@example.org', 'phone' => null, 'place' => '9 Mill Race, Saltfold'])->ok(201);
    }

    public function testEverythingIsFoundByPartsOfWords(): void
    {
        self::assertSame(
            [
                'submission Órla Fennick',
                'client Órla Fennick',
                'project P-0001 Repair',
                'message P-0001: Repair for Órla Fennick',
                'message Marrowby Piano Workshop: we have your inquiry, A-0001',
            ],
            $this->find('fenn'),
        );
        self::assertContains('client Órla Fennick', $this->find('nnick'), 'in the middle of a word');
        self::assertContains('client Órla Fennick', $this->find('orla'), 'without the accent');
        self::assertContains('client Órla Fennick', $this->find('ÓRLA fe'), 'with a short word');
        self::assertContains('asset Pell & Thrane upright', $this->find('thrane'));
        self::assertSame(['Arrivals', 'Clients', 'Projects', 'Messages', 'Messages'], $this->get('/api/search?q=fenn')->ok()->column('items', 'group'));
        self::assertContains('Pianos', $this->get('/api/search?q=thrane')->ok()->column('items', 'group'), 'as the business calls them');
        self::assertContains('client Órla Fennick', $this->find('020 914'), 'by phone as it is typed here');
        self::assertContains('client Órla Fennick', $this->find('orla.fennick@'));
        self::assertSame(['project P-0001 Repair', 'message P-0001: Repair for Órla Fennick'], $this->find('P-0001'));
        self::assertContains('submission Órla Fennick', $this->find('castors'), 'in an answer');
    }

    public function testTypingErrorsAreForgiven(): void
    {
        self::assertContains('client Órla Fennick', $this->find('fenick'));
        self::assertContains('client Órla Fennick', $this->find('orla fennikc'));
        self::assertContains('submission Tess Quill', $this->find('quil tes'));
        self::assertSame([], $this->find('zzzzzz'));
        self::assertSame([], $this->find('  '));
        self::assertSame([], $this->find('"*)(:')); // no syntax of the index gets through
    }

    public function testWhatIsChangedOrTakenBackIsFoundSoToo(): void
    {
        $change = $this->get('/api/changes/last')->ok()->text('change.id');
        $this->post("/api/changes/$change/undo")->ok();
        self::assertSame(['submission Órla Fennick'], array_values(array_filter($this->find('fennick'), static fn (string $one): bool => !str_starts_with($one, 'message'))));
        self::assertSame(
            $this->countRows('search_entry'),
            (int) (is_numeric($n = $this->db()->fetchOne("SELECT COUNT(*) FROM search_text WHERE search_text MATCH 'fen OR qui OR tes'")) ? $n : 0),
            'table and index are in step',
        );
    }

    public function testAContactIsFoundAsSoonAsTheyAreThere(): void
    {
        $this->publish('Site', ['pages' => [['key' => 'p', 'title' => 'P', 'next' => 'Send', 'questions' => [
            ['key' => 'site_name', 'type' => 'person-name', 'wording' => 'Name', 'required' => true, 'destination' => 'client.name'],
            ['key' => 'site_who', 'type' => 'short-text', 'wording' => 'Who is on site?', 'destination' => 'contact.name'],
        ]]]]);
        $this->post('/api/public/forms/site/submissions', ['answers' => ['site_name' => 'Bram Ostler', 'site_who' => 'Tadg Quennell']])->ok(201);
        $this->accept($this->lastSubmission())->ok();
        self::assertContains('contact Tadg Quennell', $this->find('quennell'));
        $path = $this->get('/api/search?q=quennell')->ok()->rows('items');
        $client = $this->db()->fetchOne("SELECT id FROM client WHERE family_name = 'Ostler'");
        self::assertIsString($client);
        self::assertContains("/clients/$client", array_column($path, 'path'));
    }

    public function testFieldStaffFindNoSubmissionsAndNoMessages(): void
    {
        $this->db()->executeStatement("UPDATE task SET assignee_id = (SELECT id FROM staff WHERE initials = 'PT')");
        $this->signIn('pim@marrowby.example');
        self::assertSame(['client Órla Fennick', 'project P-0001 Repair'], $this->find('fennick'));
        $this->get('/api/search?q='.str_repeat('x', 101))->ok(422);
    }

    /** @return list<string> */
    private function find(string $q): array
    {
        return array_map(
            static fn (array $item): string => (\is_string($item['kind']) ? $item['kind'] : '').' '.(\is_string($item['label']) ? $item['label'] : ''),
            $this->get('/api/search?q='.rawurlencode($q))->ok()->rows('items'),
        );
    }
}
