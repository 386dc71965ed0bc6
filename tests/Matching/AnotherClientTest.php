<?php

declare(strict_types=1);

namespace Telamon\Tests\Matching;

use Telamon\Tests\Support\AppTestCase;

/** Who it is from may be somebody whom matching did not offer; whoever is nobody of those offered is remembered as told apart. */
final class AnotherClientTest extends AppTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    public function testAnyClientOnFileCanBeChosenAndAnotherOneAfterThat(): void
    {
        [$ida, $una] = [$this->client('Ida', 'Spindle'), $this->client('Una', 'Merrow')];
        $this->inquire()->ok(201);
        $id = $this->lastSubmission();
        $kept = $this->call('PUT', "/api/submissions/$id/decisions", ['version' => 0, 'choices' => ['client' => $ida]])->ok();
        self::assertStringContainsString('Ida Spindle', $kept->body);
        self::assertStringContainsString('your choice', $kept->body);
        $this->call('PUT', "/api/submissions/$id/decisions", ['version' => 1, 'choices' => ['client' => $una]])->ok();
        $this->accept($id)->ok();
        self::assertSame($una, $this->db()->fetchOne('SELECT client_id FROM project ORDER BY rowid DESC LIMIT 1'));
        self::assertSame(2, $this->db()->fetchOne('SELECT COUNT(*) FROM client'));
    }

    public function testNobodyIsChosenByAnIdThatIsNobodys(): void
    {
        $this->inquire()->ok(201);
        $id = $this->lastSubmission();
        $this->call('PUT', "/api/submissions/$id/decisions", ['version' => 0, 'choices' => ['client' => '01a21054-d09d-73f3-84e4-dfab4b5f669b']])->ok();
        self::assertStringContainsString('nobody like this on file', $this->get("/api/submissions/$id")->ok()->body);
    }

    public function testSomebodyNewIsToldApartAndUndoForgetsIt(): void
    {
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->inquire(['name' => 'Orla Ambry', 'phone' => '020 917 1044', 'place' => '9 Mill Race, Saltfold'])->ok(201);
        $id = $this->lastSubmission();
        self::assertSame(1, $this->get("/api/submissions/$id")->ok()->number('plan.open'), 'the same mail address: asked');
        $done = $this->accept($id, ['client' => 'new'])->ok();
        self::assertSame(1, $this->db()->fetchOne('SELECT COUNT(*) FROM told_apart'));
        self::assertSame([], $this->get('/api/duplicates')->ok()->rows('items'));
        $this->post('/api/changes/'.$done->text('change.id').'/undo')->ok();
        self::assertSame(0, $this->db()->fetchOne('SELECT COUNT(*) FROM told_apart'));
    }

    private function client(string $given, string $family): string
    {
        return $this->post('/api/clients', ['givenName' => $given, 'familyName' => $family])->ok(201)->text('id');
    }
}
