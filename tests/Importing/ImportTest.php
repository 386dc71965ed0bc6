<?php

declare(strict_types=1);

namespace Telamon\Tests\Importing;

use Doctrine\DBAL\Exception\DriverException;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Telamon\Importing\ImportJob;
use Telamon\Importing\ImportRuns;
use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\CommandRun;

final class ImportTest extends AppTestCase
{
    use CommandRun;

    private const HEADER = "external_id,given_name,family_name,organisation,email,phone,address_line,locality,postal_code,country\r\n";

    public function testThePlainHeaderNeedsNoMapping(): void
    {
        $file = $this->file(self::HEADER."k1,Orla,Fennick,,orla.fennick@example.com,020 914 3327,7 Weir Cottages,Marrowby,M09 AB12,IE\r\nk2,,,Quarry Hall,,,,,,\r\n");
        self::assertStringContainsString('2 new, 0 matched, 0 doubtful, 0 wrong', $this->command('telamon:clients:import', ['file' => $file]));
        $this->signIn();
        $clients = $this->get('/api/clients?q=fennick')->ok();
        self::assertSame(['Orla Fennick'], $clients->column('items', 'name'));
        $client = $this->get('/api/clients/'.$clients->text('items.0.id'))->ok();
        self::assertSame('7 Weir Cottages, Marrowby, M09 AB12, IE', $client->text('address'));
        self::assertSame(['orla.fennick@example.com', '+353209143327'], $client->column('contactPoints', 'value'));
    }

    public function testADryRunChangesNothing(): void
    {
        $told = $this->command('telamon:clients:import', ['file' => $this->file(self::HEADER."k1,Orla,Fennick,,,,,,,\n"), '--dry-run' => true]);
        self::assertStringContainsString('Nothing was changed.', $told);
        self::assertSame(0, $this->countRows('client'));
    }

    public function testWhatIsWrongIsToldWithItsLineAndTheRestComesIn(): void
    {
        $told = $this->command(
            'telamon:clients:import',
            ['file' => $this->file(self::HEADER."k1,Orla,Fennick,,not an address,12,,,,\nk2,,,,x@example.com,,,,,\nk1,Wilf,Ambry,,,,,,,\n,,,,,,,,,\n")],
        );
        self::assertStringContainsString('line 3: wrong, : no name and no organisation', $told);
        self::assertStringContainsString('line 4: wrong, Wilf Ambry: the id k1 stands in line 2 too', $told);
        self::assertStringContainsString('line 5: wrong, : the line is empty', $told);
        self::assertStringContainsString('1 new, 0 matched, 0 doubtful, 3 wrong', $told);
        self::assertSame('As imported: email not an address, phone 12.', $this->db()->fetchOne('SELECT notes FROM client'));
    }

    public function testTheSameFileTwiceMakesNobodyTwice(): void
    {
        $file = $this->file(self::HEADER."k1,Orla,Fennick,,orla.fennick@example.com,,,,,\n");
        $this->command('telamon:clients:import', ['file' => $file]);
        $again = $this->file(self::HEADER."k1,Orla,Fennick,,orla.fennick@example.com,020 914 3327,7 Weir Cottages,Marrowby,,\n");
        self::assertStringContainsString('0 new, 1 matched', $this->command('telamon:clients:import', ['file' => $again]));
        self::assertSame(1, $this->countRows('client'));
        self::assertSame(2, $this->countRows('contact_point'), 'the phone was missing and is added');
    }

    public function testAnImportSetsOffTheRulesThatWaitForAChangedClient(): void
    {
        $this->command('telamon:clients:import', ['file' => $this->file(self::HEADER."k1,Orla,Fennick,,orla.fennick@example.com,,,,,\nk2,Wilf,Ambry,,wilf@example.com,,,,,\n")]);
        $this->signIn();
        $this->post(
            '/api/rules',
            [
                'name' => 'New number',
                'enabled' => true,
                'why' => '',
                'when' => 'client',
                'what' => 'phone',
                'then' => [['kind' => 'tag', 'record' => 'client', 'tag' => 'ring to check']],
            ],
        )
            ->ok(201);
        $this->command(
            'telamon:clients:import',
            ['file' => $this->file(self::HEADER."k1,Orla,Fennick,,orla.fennick@example.com,020 914 3327,,,,\nk3,Tess,Quill,,tess@example.com,020 914 3328,,,,\n")],
        );
        self::assertSame(
            ['Orla' => '["ring to check"]', 'Tess' => '[]', 'Wilf' => '[]'],
            $this->db()->fetchAllKeyValue('SELECT given_name, tags FROM client ORDER BY given_name'),
            'who comes in new has changed nothing',
        );
    }

    public function testWhoIsOnFileIsMatchedAndWhoMayBeIsDoubtful(): void
    {
        $this->command(
            'telamon:clients:import',
            ['file' => $this->file(self::HEADER."k1,Orla,Fennick,,orla.fennick@example.com,020 914 3327,7 Weir Cottages,Marrowby,M09 AB12,\n")],
        );
        $told = $this->command(
            'telamon:clients:import',
            [
                'file' => $this->file(
                    "Name;E-Mail;Telephone\nFennick, Orla;orla.fennick@example.com;020 914 3327\nOrla Fennick;orla@elsewhere.example;020 915 1111\nWilf Quill;wilf@example.org;\n",
                ),
            ],
        );
        self::assertStringContainsString('1 new, 1 matched, 1 doubtful, 0 wrong', $told);
        self::assertSame(3, $this->countRows('client'));
        self::assertStringContainsString('Orla Fennick  |  Orla Fennick', $this->command('telamon:clients:duplicates'));
    }

    public function testVCardsComeIn(): void
    {
        $card = "BEGIN:VCARD\r\nVERSION:4.0\r\nUID:u1\r\nFN:Orla Fennick\r\nN:Fennick;Orla;;;\r\nEMAIL:orla.fennick@example.com\r\nTEL;VALUE=uri:tel:+353-20-914-3327\r\nADR:;;7 Weir Cottages;Marrowby;;M09 AB12;IE\r\nNOTE:Three steps up.\r\nEND:VCARD\r\n";
        self::assertStringContainsString('1 new', $this->command('telamon:clients:import', ['file' => $this->file($card)]));
        self::assertSame(['Orla', 'Fennick', '7 Weir Cottages, Marrowby, M09 AB12, IE', 'u1', 'Three steps up.'], $this->db()->fetchNumeric('SELECT given_name, family_name, address, external_id, notes FROM client'));
        self::assertSame(['+353209143327', 'orla.fennick@example.com'], $this->db()->fetchFirstColumn('SELECT value FROM contact_point ORDER BY value'));
    }

    public function testAFileIsLookedAtMappedAndBroughtInFromTheScreen(): void
    {
        $this->signIn();
        $run = $this->bring("Who;Zzz\r\nOrla Fennick;orla.fennick@example.com\r\n;\r\n")->ok(201);
        self::assertSame(['ready', ['', 'email'], 2], [$run->text('state'), $run->at('fields'), $run->number('counts.wrong')], 'an address alone is nobody');
        $path = '/api/client-imports/'.$run->text('id');
        $this->call('PUT', $path, ['fields' => ['shoes', 'email']])->ok(422);
        $mapped = $this->call('PUT', $path, ['fields' => ['full_name', 'email']])->ok();
        self::assertSame([1, 1, 'the line is empty'], [$mapped->number('counts.new'), $mapped->number('counts.wrong'), $mapped->text('told.0.why')]);
        self::assertSame(0, $this->countRows('client'));
        self::assertSame('running', $this->post("$path/carry-out")->ok()->text('state'));
        $runs = self::getContainer()->get(ImportRuns::class);
        self::assertInstanceOf(ImportRuns::class, $runs);
        $runs->carryOut(new ImportJob($run->text('id')));
        $done = $this->get($path)->ok();
        self::assertSame(['done', 2, 2], [$done->text('state'), $done->number('total'), $done->number('done')]);
        self::assertSame(1, $this->countRows('client'));
        $this->post('/api/changes/'.$done->text('changeId').'/undo')->ok();
        self::assertSame(0, $this->countRows('client'));
        $this->post("$path/carry-out")->ok(409);
        $this->bring(' ')->ok(422);
        $this->signIn('pim@marrowby.example');
        $this->get($path)->ok(403);
    }

    /** The last row is the first once more: when the import begins, nobody like that is on file. */
    public function testARowIsNotJudgedAgainAgainstWhatTheFirstStretchWrote(): void
    {
        $this->signIn();
        $rows = '';
        foreach ([...range(0, 254), 0] as $i) {
            $rows .= ",Given$i,Family$i,,g$i@example.com,020 91".str_pad((string) $i, 5, '0', \STR_PAD_LEFT).",,,,\n";
        }
        $run = $this->bring(self::HEADER.$rows)->ok(201);
        $path = '/api/client-imports/'.$run->text('id');
        $this->post("$path/carry-out")->ok();
        // Broken off in the second stretch, as a killed worker is.
        $this->db()->executeStatement("CREATE TRIGGER killed BEFORE UPDATE OF done ON client_import WHEN NEW.done > 250 BEGIN SELECT RAISE(ABORT, 'killed'); END");
        $runs = self::getContainer()->get(ImportRuns::class);
        self::assertInstanceOf(ImportRuns::class, $runs);
        try {
            $runs->carryOut(new ImportJob($run->text('id')));
            self::fail('it was not broken off');
        } catch (DriverException) {
            self::assertSame(250, $this->countRows('client'));
        }
        $this->db()->executeStatement('DROP TRIGGER killed');
        self::ensureKernelShutdown();
        $this->browser = self::createClient();
        $runs = self::getContainer()->get(ImportRuns::class);
        self::assertInstanceOf(ImportRuns::class, $runs);
        $runs->carryOut(new ImportJob($run->text('id')));
        self::assertSame(256, $this->countRows('client'), 'as many as without the interruption');
    }

    private function bring(string $content): Answer
    {
        $path = $this->file($content);
        $this->browser->request('POST', '/api/client-imports', files: ['file' => new UploadedFile($path, 'clients.csv', null, null, true)], server: ['HTTP_ORIGIN' => 'http://localhost', 'CONTENT_TYPE' => 'multipart/form-data; boundary=x', 'CONTENT_LENGTH' => (string) filesize($path)]);

        return $this->answer('POST', '/api/client-imports');
    }

    public function testAFileThatCannotBeReadSaysWhy(): void
    {
        self::assertStringContainsString('The file cannot be read', $this->command('telamon:clients:import', ['file' => '/nowhere.csv'], 1));
        self::assertStringContainsString('The file is empty', $this->command('telamon:clients:import', ['file' => $this->file(' ')], 1));
        self::assertStringContainsString('not in UTF-8', $this->command('telamon:clients:import', ['file' => $this->file("name\nZo\xeb Quill\n")], 1));
        self::assertStringContainsString('None of the columns is known', $this->command('telamon:clients:import', ['file' => $this->file("qqqq,zzzz\n1,2\n")], 1));
    }

    public function testAWholeImportIsTakenBackButForWhatWasChangedSince(): void
    {
        $rows = '';
        for ($i = 0; $i < 1100; ++$i) {
            $rows .= "k$i,Given$i,Family$i,,g$i@example.com,,,,,\n";
        }
        $told = $this->command('telamon:clients:import', ['file' => $this->file(self::HEADER.$rows)]);
        self::assertSame(1100, $this->countRows('client'));
        self::assertSame(1, preg_match('/telamon:undo ([0-9a-f-]{36})/', $told, $m));
        $this->inquire(['name' => 'Given7 Family7', 'email' => 'g7@example.com'])->ok(201);
        $this->signIn();
        $this->accept($this->lastSubmission())->ok();
        $undone = $this->command('telamon:undo', ['change' => $m[1]]);
        self::assertStringContainsString('Undone: brought in clients', $undone);
        self::assertStringContainsString('stays: Given7 Family7', $undone);
        self::assertSame(1, $this->countRows('client'));
        self::assertSame(['g7@example.com'], $this->db()->fetchFirstColumn("SELECT value FROM contact_point WHERE kind = 'email'"));
        self::assertSame([1], $this->db()->fetchFirstColumn('SELECT COUNT(DISTINCT client_id) FROM match_key'));
        self::assertStringContainsString('Somebody took this back', $this->command('telamon:undo', ['change' => $m[1]], 1));
    }

    public function testAnImportWhoseFileIsGoneSaysSo(): void
    {
        $this->signIn();
        $run = $this->bring(self::HEADER."k1,Orla,Fennick,,,,,,,\n")->text('id');
        $this->post("/api/client-imports/$run/carry-out")->ok();
        array_map(unlink(...), glob("{$this->data}/imports/*") ?: []);
        $this->work();
        self::assertSame('failed', $this->get("/api/client-imports/$run")->ok()->text('state'));
        self::assertSame(0, $this->countRows('client'));
    }

    public function testAnImportThatWasBrokenOffGoesOnWhereItStopped(): void
    {
        $this->signIn();
        $run = $this->bring(self::HEADER.implode('', array_map(static fn (int $i): string => "k$i,Given$i,Family$i,,,,,,,\n", range(1, 300))))->text('id');
        $this->post("/api/client-imports/$run/carry-out")->ok();
        // As a worker leaves it that dies after its first 250 lines: they are done, and their count with them.
        $this->db()->executeStatement('UPDATE client_import SET done = 250');
        $this->work();
        $done = $this->get("/api/client-imports/$run")->ok();
        self::assertSame([50, 'done', 300], [$this->countRows('client'), $done->text('state'), $done->number('done')]);
        $runs = self::getContainer()->get(ImportRuns::class);
        self::assertInstanceOf(ImportRuns::class, $runs);
        $runs->carryOut(new ImportJob($run));
        self::assertSame(50, $this->countRows('client'), 'asked once more, it does nothing');
    }

    private function file(string $content): string
    {
        $path = $this->data.'/'.bin2hex(random_bytes(4)).'.csv';
        file_put_contents($path, $content);

        return $path;
    }
}
