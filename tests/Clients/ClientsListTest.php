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
            $this->post(
                '/api/clients',
                [
                    'givenName' => $given,
                    'familyName' => $family,
                    'tags' => $tags,
                    'notes' => '=1+1',
                    'address' => "$digit Ropewalk, Marrowby",
                    'contactPoints' => [['id' => null, 'kind' => 'phone', 'value' => "020 915 014$digit"]],
                ],
            )
                ->ok(201);
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

    public function testItIsSortedByNameOrTheNewestFirst(): void
    {
        self::assertSame(['Wilf Ambry', 'Una Merrow', 'Ida Spindle'], $this->names(''));
        self::assertSame(['Wilf Ambry', 'Una Merrow', 'Ida Spindle'], $this->names('sort=-since'));
        $this->post('/api/clients', ['givenName' => 'Zed', 'familyName' => 'Zimmer'])->ok(201);
        self::assertSame('Zed Zimmer', $this->get('/api/clients?sort=-since')->ok()->text('items.0.name'));
    }

    public function testItIsNarrowedByServiceAndPlace(): void
    {
        $ids = array_column($this->get('/api/clients')->rows('items'), 'id', 'name');
        $this->post('/api/projects', ['client' => $ids['Una Merrow'], 'service' => 'tuning'])->ok(201);
        self::assertSame(['Una Merrow'], $this->names('service=tuning'));
        self::assertSame([], $this->names('service=repair'));
        self::assertSame(['Ida Spindle'], $this->names('place=2+ropewalk'));
        self::assertSame([], $this->names('place=spindle'), 'a name is no place');
        self::assertSame(['Wilf Ambry'], $this->names('place=3'), 'too short to be looked up in what is searched');
        self::assertSame(['Una Merrow'], $this->names('service=tuning&place=marrowby&q=merr'), 'all at once');
        self::assertSame(['Wilf Ambry'], $this->names('q=0143'), 'part of a number');
        $this->db()->executeStatement("UPDATE client SET address = '' WHERE id = ?", [$ids['Una Merrow']]);
        $this->call(
            'PUT',
            '/api/clients/'.(\is_string($ids['Una Merrow']) ? $ids['Una Merrow'] : ''),
            ['version' => 1, 'assets' => [['description' => 'Upright', 'place' => '8 Harbour Hill, Corvane']]],
        )
            ->ok();
        self::assertSame(['Una Merrow'], $this->names('place=harbour'), 'where a thing of theirs stands');
        self::assertSame(['Una Merrow'], $this->names('place=8'));
        self::assertSame('Corvane', $this->get('/api/clients?place=harbour')->ok()->text('items.0.locality'));
        self::assertSame([], $this->names('place=harbour&service=repair'));
    }

    public function testItKnowsWhenSomebodyWasLastInTouch(): void
    {
        self::assertSame(['Wilf Ambry', 'Una Merrow', 'Ida Spindle'], $this->names('contact=never'));
        $this->inquire()->ok(201);
        $submission = $this->lastSubmission();
        $this->accept($submission)->ok();
        $name = $this->get('/api/clients?contact=last-30-days')->ok()->text('items.0.name');
        self::assertSame([$name, 'Wilf Ambry', 'Una Merrow', 'Ida Spindle'], [$this->names('sort=-contact')[0], ...$this->names('contact=never')]);
        self::assertNotNull($this->get('/api/clients?contact=last-30-days')->at('items.0.lastContact'));
        $this->clock->modify('+100 days');
        $this->signIn();
        self::assertSame([[], [], [$name], []], array_map($this->names(...), ['contact=last-30-days', 'contact=last-90-days', 'contact=over-90-days', 'contact=over-a-year']));
        $this->get('/api/clients?contact=soon')->ok(422);
        // Undone, what came is of nobody, and nobody was in touch.
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertSame([], $this->names('contact=over-90-days'));
    }

    public function testWhoeverIsOutOfTheWayIsNarrowedByLastContactToo(): void
    {
        $client = $this->get('/api/clients?q=spindle')->ok();
        $this->post(
            '/api/clients/'.$client->text('items.0.id').'/archive',
            ['version' => $this->get('/api/clients/'.$client->text('items.0.id'))->number('version'), 'archived' => true],
        )
            ->ok();
        self::assertSame(['Ida Spindle'], $this->names('state=archived&contact=never'));
        self::assertCount(3, $this->names('state=all&contact=never'));
        self::assertSame(['Ida Spindle'], $this->names('q=spindle&contact=never'), 'found by typing');
        self::assertSame(['Wilf Ambry', 'Una Merrow'], $this->names('contact=never'));
    }

    public function testItIsPagedInEveryOrderWithoutLosingAnybody(): void
    {
        $names = [];
        for ($i = 0; $i < 57; ++$i) {
            $this->post('/api/clients', ['givenName' => 'Same', 'familyName' => "Name $i"])->ok(201);
            $names[] = "Same Name $i";
        }
        foreach (['name', '-name', 'since', '-since', 'contact', '-contact'] as $sort) {
            $first = $this->get("/api/clients?q=same&sort=$sort")->ok();
            $second = $this->get("/api/clients?q=same&sort=$sort&cursor=".$first->text('next'))->ok();
            self::assertNull($second->at('next'));
            self::assertSame(57, $first->number('total'));
            self::assertEqualsCanonicalizing($names, [...$first->column('items', 'name'), ...$second->column('items', 'name')], $sort);
        }
    }

    public function testAWayOfLookingIsSavedUsedAndRemoved(): void
    {
        $this->post('/api/lists/clients/views', ['name' => ' ', 'search' => '', 'hidden' => []])->ok(422);
        $view = $this->post('/api/lists/clients/views', ['name' => 'Choirs', 'search' => 'tag=choir', 'hidden' => ['Email']])->ok(201);
        self::assertSame(
            $view->text('id'),
            $this->post('/api/lists/clients/views', ['name' => 'Choirs', 'search' => 'tag=choir&sort=-since', 'hidden' => []])->ok(201)->text('id'),
            'the same name is the same view',
        );
        self::assertSame(['tag=choir&sort=-since'], $this->get('/api/lists/clients/views')->ok()->column('items', 'search'));
        self::assertSame([], $this->get('/api/lists/projects/views')->ok()->column('items', 'search'));
        $this->call('DELETE', '/api/lists/projects/views/'.$view->text('id'))->ok(404);
        $this->signIn('pim@marrowby.example');
        $this->get('/api/lists/clients/views')->ok(403);
        $this->signIn();
        $this->call('DELETE', '/api/lists/clients/views/'.$view->text('id'))->ok(204);
        self::assertSame([], $this->get('/api/lists/clients/views')->ok()->column('items', 'search'));
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
