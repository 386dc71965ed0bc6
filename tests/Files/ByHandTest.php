<?php

declare(strict_types=1);

namespace Telamon\Tests\Files;

use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;

/** Files put with a client or a project by hand; what is removed can be brought back, bytes and all. */
final class ByHandTest extends AppTestCase
{
    private string $project = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $client = $this->post('/api/clients', ['givenName' => 'Bryony', 'familyName' => 'Tesk'])->ok(201)->text('id');
        $this->project = $this->post('/api/projects', ['client' => $client, 'title' => 'Looks in'])->ok(201)->text('id');
    }

    public function testAFileIsAddedNamedNotedRemovedAndBroughtBackWithItsBytes(): void
    {
        $added = $this->post('/api/files', ['uploads' => [$this->picture()], 'project' => $this->project])->ok(201);
        $id = $added->text('items.0.id');
        self::assertSame([$id], $this->get("/api/files?project={$this->project}")->ok()->column('items', 'id'));
        $described = $this->call('PUT', "/api/files/$id", ['name' => 'The hinge.png', 'note' => 'split along the grain'])->ok();
        self::assertSame(['The hinge.png', 'split along the grain'], [$described->text('name'), $described->text('note')]);
        self::assertSame('name', $this->call('PUT', "/api/files/$id", ['name' => ' '])->ok(422)->text('violations.0.path'));
        $this->call('DELETE', "/api/files/$id")->ok(204);
        self::assertSame([], $this->get("/api/files?project={$this->project}")->ok()->rows('items'));
        $this->call('DELETE', "/api/files/$id")->ok(404);
        $this->clock->modify('+3 days');
        $this->byClock('uploads');
        $this->signIn();
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertSame([$id], $this->get("/api/files?project={$this->project}")->ok()->column('items', 'id'));
        $this->browser->request('GET', "/api/files/$id");
        self::assertSame(200, $this->browser->getResponse()->getStatusCode(), 'the sweep has left the bytes');
    }

    public function testAFileForTheOfficeIsKeptFromFieldStaffWhoWorkOnTheProject(): void
    {
        $pim = $this->db()->fetchOne("SELECT id FROM staff WHERE initials = 'PT'");
        $this->call('PUT', "/api/projects/{$this->project}", ['version' => $this->get("/api/projects/{$this->project}")->number('version'), 'lead' => $pim])->ok();
        $id = $this->post('/api/files', ['uploads' => [$this->picture()], 'project' => $this->project])->ok(201)->text('items.0.id');
        $this->signIn('pim@marrowby.example');
        self::assertSame([$id], $this->get("/api/files?project={$this->project}")->ok()->column('items', 'id'));
        $this->signIn();
        self::assertTrue($this->call('PUT', "/api/files/$id", ['forOffice' => true])->ok()->at('forOffice'));
        self::assertSame([$id], $this->get("/api/files?project={$this->project}")->ok()->column('items', 'id'), 'the office sees it');
        $this->signIn('pim@marrowby.example');
        self::assertSame([], $this->get("/api/files?project={$this->project}")->ok()->rows('items'));
        self::assertContains($this->get("/api/files/$id")->status, [403, 404]);
        self::assertContains($this->call('PUT', "/api/files/$id", ['forOffice' => false])->status, [403, 404], 'nor can they open it to themselves');
        $this->signIn();
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        $this->signIn('pim@marrowby.example');
        self::assertSame([$id], $this->get("/api/files?project={$this->project}")->ok()->column('items', 'id'), 'undone, they see it again');
    }

    public function testOneUploadServesOneRecordAndUndoTakesTheFileAway(): void
    {
        $upload = $this->picture();
        $this->post('/api/files', ['uploads' => [$upload], 'project' => $this->project])->ok(201);
        self::assertSame('uploads', $this->post('/api/files', ['uploads' => [$upload], 'project' => $this->project])->ok(422)->text('violations.0.path'));
        self::assertSame('uploads', $this->post('/api/files', ['uploads' => [], 'project' => $this->project])->ok(422)->text('violations.0.path'));
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertSame([], $this->get("/api/files?project={$this->project}")->ok()->rows('items'));
    }

    public function testFieldStaffAddToWhatTheyWorkOnAndToNothingElse(): void
    {
        $upload = $this->picture();
        $this->signIn('pim@marrowby.example');
        $this->post('/api/files', ['uploads' => [$upload], 'project' => $this->project])->ok(403);
        $this->post('/api/files', ['uploads' => [$upload], 'client' => $this->project])->ok(403);
    }

    public function testTheSameSendingPutsAFileThereOnce(): void
    {
        $upload = $this->picture();
        $send = fn (): Answer => $this->call('POST', '/api/files', ['uploads' => [$upload], 'project' => $this->project], ['HTTP_IDEMPOTENCY_KEY' => 'photograph-1']);
        $first = $send()->ok(201)->text('items.0.id');
        self::assertSame($first, $send()->ok(201)->text('items.0.id'), 'the answer was lost, the file was not');
        self::assertCount(1, $this->get("/api/files?project={$this->project}")->ok()->rows('items'));
        $this->post('/api/files', ['uploads' => [$upload], 'project' => $this->project])->ok(422);
    }

    private function picture(): string
    {
        $path = "{$this->data}/hinge.png";
        $image = imagecreatetruecolor(8, 8);
        self::assertNotFalse($image);
        imagepng($image, $path);

        return $this->upload($path, 'hinge.png')->ok(201)->text('id');
    }
}
