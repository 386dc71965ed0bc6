<?php

declare(strict_types=1);

namespace Telamon\Tests\Clients;

use Sabre\VObject\Reader;
use Telamon\Tests\Support\AppTestCase;

/** The list of clients narrowed and sorted, several at once, and as a file. */
final class ClientsListTest extends AppTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        foreach ([['Ida', 'Spindle', ['choir', '50 %_off'], '2'], ['Una', 'Merrow', ['école'], '1'], ['Wilf', 'Ambry', [], '3']] as [$given, $family, $tags, $digit]) {
            $this->post('/api/clients', ['givenName' => $given, 'familyName' => $family, 'tags' => $tags, 'notes' => '=1+1', 'address' => "$digit Ropewalk, Marrowby", 'contactPoints' => [['id' => null, 'kind' => 'phone', 'value' => "020 915 014$digit"]]])->ok(201);
            $this->clock->modify('+1 day');
            $this->signIn();
        }
    }

    public function testItIsNarrowedByTagOwnerAndOpenWork(): void
    {
        self::assertSame(['Ida Spindle'], $this->names('tag=choir'));
        self::assertSame(['Una Merrow'], $this->names('tag='.rawurlencode('école')));
        self::assertSame(['Ida Spindle'], $this->names('tag='.rawurlencode('50 %_off')), 'signs of patterns mean themselves');
        self::assertSame([], $this->names('tag=cho'), 'a whole tag');
        self::assertSame(['50 %_off', 'choir', 'école'], $this->get('/api/clients/tags')->ok()->at('items'));
        $ids = array_column($this->get('/api/clients')->rows('items'), 'id', 'name');
        $this->post('/api/projects', ['client' => $ids['Una Merrow'], 'title' => 'Looks in'])->ok(201);
        self::assertSame(['Una Merrow'], $this->names('state=open-work'));
        $sorcha = $this->db()->fetchOne("SELECT id FROM staff WHERE initials = 'SV'");
        self::assertSame(2, $this->post('/api/clients/several', ['ids' => [$ids['Una Merrow'], $ids['Wilf Ambry']], 'owner' => $sorcha])->ok()->number('changed'));
        self::assertIsString($sorcha);
        self::assertSame(['Wilf Ambry', 'Una Merrow'], $this->names("owner=$sorcha"));
    }

    public function testItIsSortedByNameOrTheNewestFirstAndPaged(): void
    {
        self::assertSame(['Wilf Ambry', 'Una Merrow', 'Ida Spindle'], $this->names(''));
        self::assertSame(['Wilf Ambry', 'Una Merrow', 'Ida Spindle'], $this->names('sort=newest'));
        $this->post('/api/clients', ['givenName' => 'Zed', 'familyName' => 'Zimmer'])->ok(201);
        self::assertSame('Zed Zimmer', $this->get('/api/clients?sort=newest')->ok()->text('items.0.name'));
    }

    public function testSeveralAreTaggedAtOnceAndOneUndoTakesItBack(): void
    {
        $ids = array_column($this->get('/api/clients')->rows('items'), 'id');
        $this->post('/api/clients/several', ['ids' => $ids, 'tag' => 'spring'])->ok();
        self::assertCount(3, $this->names('tag=spring'));
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertSame([], $this->names('tag=spring'));
        self::assertSame('tag', $this->post('/api/clients/several', ['ids' => $ids, 'tag' => ' '])->ok(422)->text('violations.0.path'));
        self::assertSame('ids', $this->post('/api/clients/several', ['ids' => [], 'tag' => 'x'])->ok(422)->text('violations.0.path'));
    }

    public function testTheyGoOutAsATable(): void
    {
        $file = $this->export('format=csv&tag=choir');
        self::assertStringStartsWith("\u{FEFF}", $file);
        $rows = array_map(static fn (string $line): array => str_getcsv($line, ',', '"', ''), explode("\r\n", trim(substr($file, 3))));
        self::assertCount(2, $rows);
        self::assertSame(['name', 'Ida Spindle'], [$rows[0][0], $rows[1][0]]);
        self::assertSame("'=1+1", $rows[1][10], 'no table program takes it for a formula');
        self::assertSame('+353 20 915 0142', $rows[1][5], 'a number stays a number');
    }

    public function testTheyGoOutAsCardsThatAReaderOfTheStandardReads(): void
    {
        $cards = array_filter(explode('BEGIN:VCARD', $this->export('format=vcard')), static fn (string $card): bool => '' !== $card);
        self::assertCount(3, $cards);
        foreach ($cards as $card) {
            $read = Reader::read("BEGIN:VCARD$card");
            // RFC 6350, as sabre/vobject holds cards to it.
            self::assertSame([], array_filter($read->validate(), static fn (mixed $fault): bool => \is_array($fault) && 3 === ($fault['level'] ?? 0)));
        }
        self::assertStringContainsString('FN:Ida Spindle', $this->export('format=vcard'));
        self::assertStringContainsString('TEL;VALUE=uri:tel:+353209150142', $this->export('format=vcard'));
    }

    public function testFieldStaffTakeNothingOut(): void
    {
        $this->signIn('pim@marrowby.example');
        $this->get('/api/clients/export?format=csv')->ok(403);
        $this->post('/api/clients/several', ['ids' => ['x'], 'tag' => 'x'])->ok(403);
    }

    private function export(string $query): string
    {
        $this->browser->request('GET', "/api/clients/export?$query");
        self::assertSame(200, $this->browser->getResponse()->getStatusCode());

        return $this->browser->getInternalResponse()->getContent();
    }

    /** @return list<mixed> */
    private function names(string $query): array
    {
        return array_column($this->get("/api/clients?$query")->ok()->rows('items'), 'name');
    }
}
