<?php

declare(strict_types=1);

namespace Telamon\Tests\Clients;

use Telamon\Tests\Support\AppTestCase;

/** The list of projects narrowed, sorted, paged, and as a file. */
final class ProjectsListTest extends AppTestCase
{
    private string $sorcha = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $client = $this->post('/api/clients', ['givenName' => 'Ida', 'familyName' => 'Spindle'])->ok(201)->text('id');
        $other = $this->post('/api/clients', ['givenName' => 'Wilf', 'familyName' => 'Ambry'])->ok(201)->text('id');
        $id = $this->db()->fetchOne("SELECT id FROM staff WHERE initials = 'SV'");
        self::assertIsString($id);
        $this->sorcha = $id;
        foreach ([['Zither strings', $client, '2027-03-01', ''], ['=A1 keys', $other, '', 'tuning'], ['Moving', $client, '2027-01-15', '']] as [$title, $of, $ready, $service]) {
            $this->post('/api/projects', ['client' => $of, 'title' => $title, 'readyBy' => $ready, 'service' => $service, 'lead' => 'Moving' === $title ? $this->sorcha : ''])
                ->ok(201);
            $this->clock->modify('+1 day');
            $this->signIn();
        }
    }

    public function testItIsSortedByWhatIsAskedFor(): void
    {
        self::assertSame(['Moving', '=A1 keys', 'Zither strings'], $this->titles(''));
        self::assertSame(['Zither strings', '=A1 keys', 'Moving'], $this->titles('sort=opened'));
        self::assertSame(['Moving', 'Zither strings', '=A1 keys'], $this->titles('sort=ready'), 'without a day comes last');
        self::assertSame(['Zither strings', 'Moving', '=A1 keys'], $this->titles('sort=-ready'), 'that way round too');
        self::assertSame(['=A1 keys', 'Moving', 'Zither strings'], $this->titles('sort=title'));
        self::assertSame('=A1 keys', $this->titles('sort=client')[0]);
        $this->get('/api/projects?sort=colour')->ok(422);
    }

    public function testItIsNarrowedByLeadAndService(): void
    {
        self::assertSame(['Moving'], $this->titles("lead={$this->sorcha}"));
        self::assertSame(['=A1 keys'], $this->titles('service=tuning'));
        $id = $this->get('/api/projects?service=tuning')->ok()->text('items.0.id');
        $version = $this->get("/api/projects/$id")->ok()->number('version');
        self::assertSame('service', $this->call('PUT', "/api/projects/$id", ['version' => $version, 'service' => 'cakes'])->ok(422)->text('violations.0.path'));
        $this->call('PUT', "/api/projects/$id", ['version' => $version, 'service' => 'repair'])->ok();
        self::assertSame([[], ['=A1 keys']], [$this->titles('service=tuning'), $this->titles('service=repair')]);
    }

    public function testAProjectOfAPlanKnowsItsService(): void
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        self::assertNotSame('', $this->get('/api/projects')->ok()->text('items.0.service'));
    }

    public function testItIsPagedInEveryOrderWithoutLosingAny(): void
    {
        $client = $this->get('/api/clients?q=spindle')->ok()->text('items.0.id');
        for ($i = 0; $i < 52; ++$i) {
            $this->post('/api/projects', ['client' => $client, 'title' => 'Alike', 'checklists' => false, 'readyBy' => 0 === $i % 2 ? '2027-05-05' : ''])->ok(201);
        }
        foreach (['opened', '-opened', 'title', 'client', 'stage', '-lead', 'ready', '-ready'] as $sort) {
            $first = $this->get("/api/projects?q=alike&sort=$sort")->ok();
            $second = $this->get("/api/projects?q=alike&sort=$sort&cursor=".$first->text('next'))->ok();
            $ids = array_map(static fn (mixed $id): string => \is_string($id) ? $id : self::fail('no id'), [...$first->column('items', 'id'), ...$second->column('items', 'id')]);
            self::assertCount(52, array_unique($ids), $sort);
        }
    }

    public function testTheyGoOutAsATableInTheirOrder(): void
    {
        $this->browser->request('GET', '/api/projects/export?sort=ready');
        $lines = explode("\r\n", trim(substr($this->browser->getInternalResponse()->getContent(), 3)));
        $rows = array_map(static fn (string $line): array => str_getcsv($line, ',', '"', ''), $lines);
        self::assertSame(['title', 'Moving', 'Zither strings', "'=A1 keys"], array_column($rows, 1));
        self::assertSame(['client', 'Ida Spindle', 'Ida Spindle', 'Wilf Ambry'], array_column($rows, 2));
        $this->signIn('pim@marrowby.example');
        $this->get('/api/projects/export')->ok(403);
    }

    /** @return list<mixed> */
    private function titles(string $query): array
    {
        return $this->get("/api/projects?$query")->ok()->column('items', 'title');
    }
}
