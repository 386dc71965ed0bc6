<?php

declare(strict_types=1);

namespace Telamon\Tests\Clients;

use PHPUnit\Framework\Attributes\DataProvider;
use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;

/** Clients written down by hand: journaled, found, matched, told to rules and taken back like any other change. */
final class EditingTest extends AppTestCase
{
    private string $id = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $this->id = $this->post(
            '/api/clients',
            [
                'givenName' => 'Bryony',
                'familyName' => 'Tesk',
                'address' => '12 Ropewalk, Marrowby',
                'contactPoints' => [['kind' => 'email', 'value' => 'Bryony@Tesk.example'], ['kind' => 'phone', 'value' => '020 915 0184']],
            ],
        )
            ->ok(201)
            ->text('id');
    }

    public function testSomebodyIsPutOnFileAndTakenOffAgain(): void
    {
        $client = $this->get("/api/clients/{$this->id}")->ok();
        self::assertSame(
            ['Bryony Tesk', '2026-11-25', ['Bryony@tesk.example', '+353209150184']],
            [$client->text('name'), $client->text('since'), $client->column('contactPoints', 'value')],
        );
        self::assertSame(['Bryony Tesk'], $this->get('/api/search?q=tesk')->ok()->column('items', 'label'));
        self::assertSame('put Bryony Tesk on file', $this->get('/api/changes/last')->ok()->text('change.words'));
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        $this->get("/api/clients/{$this->id}")->ok(404);
        self::assertSame([], $this->get('/api/search?q=tesk')->ok()->rows('items'));
    }

    public function testWhoeverWritesIsKnownAgain(): void
    {
        $this->inquire(['name' => 'Bryony Tesk', 'email' => 'bryony@tesk.example', 'phone' => '020 915 0184'])->ok(201);
        $plan = $this->get('/api/submissions/'.$this->lastSubmission())->ok();
        self::assertSame($this->id, $plan->text('plan.lines.0.parts.1.record.id'));
    }

    public function testOneFactIsChangedAndTheOthersStay(): void
    {
        $this->edit(['organisation' => 'Quarry Hall'])->ok();
        $this->edit(['notes' => "Ring twice.\nThe dog bites."])->ok();
        $this->edit(['tags' => ['two pianos', ' two pianos ', '']])->ok();
        $owner = $this->get('/api/rules')->ok()->text('offers.staff.0.value');
        $this->edit(['owner' => $owner])->ok();
        $client = $this->edit(['givenName' => 'Brýony'])->ok();
        self::assertSame(
            ['Brýony Tesk', 'Quarry Hall', "Ring twice.\nThe dog bites.", ['two pianos'], $owner, '12 Ropewalk, Marrowby'],
            [$client->text('name'), $client->text('organisation'), $client->text('notes'), $client->at('tags'), $client->text('ownerId'), $client->text('address')],
        );
        self::assertSame(['Brýony Tesk'], $this->get('/api/search?q=bryony')->ok()->column('items', 'label'));
        self::assertNotSame([], $this->get("/api/journal?record={$this->id}")->ok()->rows('items'));

        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertSame('Bryony Tesk', $this->get("/api/clients/{$this->id}")->ok()->text('name'));
        self::assertNull($this->edit(['owner' => ''])->ok()->at('owner'));
    }

    public function testHowTheyAreReachedIsPutRightAndAddedTo(): void
    {
        $phone = $this->get("/api/clients/{$this->id}")->ok()->text('contactPoints.1.id');
        $this->edit(['contactPoints' => [
            ['id' => $phone, 'was' => '+353209150184', 'kind' => 'phone', 'value' => '020 915 0148'],
            ['kind' => 'email', 'value' => 'office@quarry.example'],
        ]])
            ->ok();
        $client = $this->get("/api/clients/{$this->id}")->ok();
        self::assertSame(['Bryony@tesk.example', 'office@quarry.example', '+353209150148'], $client->column('contactPoints', 'value'));
        self::assertSame('+353 20 915 0148', $client->text('contactPoints.2.text'));
        $this->edit(['contactPoints' => [['id' => $phone, 'was' => '+353209150184', 'kind' => 'phone', 'value' => '020 915 0000']]])->ok(409);
        self::assertSame(
            ['contactPoints.0.value'],
            array_keys($this->edit(['contactPoints' => [['kind' => 'phone', 'value' => '+353 20 915 0148']]])->ok(422)->violations()),
            'it is there already',
        );
    }

    public function testAWayThatIsWrongIsRemovedAndComesBackWithOneUndo(): void
    {
        $phone = $this->get("/api/clients/{$this->id}")->ok()->text('contactPoints.1.id');
        $this->edit(['contactPoints' => [['id' => $phone, 'was' => '+353209150184', 'kind' => 'phone', 'value' => '', 'remove' => true]]])->ok();
        self::assertSame(['Bryony@tesk.example'], $this->get("/api/clients/{$this->id}")->ok()->column('contactPoints', 'value'));
        self::assertSame([], $this->get('/api/search?q=0184')->ok()->rows('items'), 'nor found by it');
        self::assertSame([], $this->get('/api/alike?phone=020+915+0184')->ok()->rows('items'), 'nor known by it');

        $change = $this->get('/api/changes/last')->ok()->text('change.id');
        $this->post("/api/changes/$change/undo")->ok();
        $client = $this->get("/api/clients/{$this->id}")->ok();
        self::assertSame([['Bryony@tesk.example', '+353209150184'], $phone], [$client->column('contactPoints', 'value'), $client->text('contactPoints.1.id')]);
        self::assertSame(['Bryony Tesk'], $this->get('/api/search?q=0184')->ok()->column('items', 'label'));
        self::assertCount(1, $this->get('/api/alike?phone=020+915+0184&familyName=Tesk')->ok()->rows('items'));

        $this->post("/api/changes/$change/redo")->ok();
        self::assertSame(['Bryony@tesk.example'], $this->get("/api/clients/{$this->id}")->ok()->column('contactPoints', 'value'), 'and goes again');
    }

    public function testTwoWhoEditAtOnceDoNotOverwriteEachOther(): void
    {
        $version = $this->get("/api/clients/{$this->id}")->ok()->number('version');
        $this->call('PUT', "/api/clients/{$this->id}", ['version' => $version, 'notes' => 'First.'])->ok();
        $this->call('PUT', "/api/clients/{$this->id}", ['version' => $version, 'notes' => 'Second.'])->ok(409);
        self::assertSame('First.', $this->get("/api/clients/{$this->id}")->ok()->text('notes'));
    }

    public function testRulesHearOfIt(): void
    {
        $this->post(
            '/api/rules',
            ['name' => 'Halls are Sorcha’s', 'enabled' => true, 'when' => 'client', 'what' => 'organisation', 'then' => [['kind' => 'tag', 'record' => 'client', 'tag' => 'hall']]],
        )
            ->ok(201);
        self::assertSame(['hall'], $this->edit(['organisation' => 'Quarry Hall'])->ok()->at('tags'));
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertSame([], $this->get("/api/clients/{$this->id}")->ok()->at('tags'), 'and one undo takes both back');
    }

    /** @param array<string, mixed> $body */
    #[DataProvider('impossible')]
    public function testWhatCannotBeIsRefusedBesideItsField(array $body, string $path): void
    {
        self::assertSame([$path], array_keys($this->edit($body)->ok(422)->violations()));
        self::assertSame('Bryony Tesk', $this->get("/api/clients/{$this->id}")->ok()->text('name'));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function impossible(): iterable
    {
        yield 'nobody' => [['givenName' => ' ', 'familyName' => ''], 'familyName'];
        yield 'a mail address that is none' => [['contactPoints' => [['kind' => 'email', 'value' => 'at home']]], 'contactPoints.0.value'];
        yield 'a number that is none' => [['contactPoints' => [['kind' => 'phone', 'value' => 'ask']]], 'contactPoints.0.value'];
        yield 'a way that there is not' => [['contactPoints' => [['kind' => 'pigeon', 'value' => 'coo']]], 'contactPoints.0.kind'];
        yield 'an owner who is not here' => [['owner' => '00000000-0000-0000-0000-000000000000'], 'owner'];
        yield 'too much' => [['organisation' => str_repeat('x', 201)], 'organisation'];
        yield 'too many tags' => [['tags' => array_map(static fn (int $i): string => "tag $i", range(1, 41))], 'tags'];
        yield 'no text' => [['notes' => ['x']], 'notes'];
    }

    public function testAnOrganisationGoesByItsOwnName(): void
    {
        self::assertSame('Saltfold School', $this->post('/api/clients', ['organisation' => 'Saltfold School'])->ok(201)->text('name'));
        $this->post('/api/clients', [])->ok(422);
    }

    public function testTheSameSendingTwiceIsOneClient(): void
    {
        $send = fn (string $name, string $key): Answer => $this->call('POST', '/api/clients', ['familyName' => $name], ['HTTP_IDEMPOTENCY_KEY' => $key]);
        $first = $send('Quill', 'k1')->ok(201)->text('id');
        self::assertSame($first, $send('Quill', 'k1')->ok(201)->text('id'));
        self::assertNotSame($first, $send('Quill', 'k2')->ok(201)->text('id'), 'Two people may have one name.');
        self::assertNotSame($first, $send('Quilter', 'k1')->ok(201)->text('id'));
        self::assertCount(2, $this->get('/api/clients?q=Quill')->ok()->rows('items'));
        $send('Quill', str_repeat('k', 201))->ok(422);
    }

    public function testWhoMayBeTheSameIsSaidWhileOneWrites(): void
    {
        self::assertSame(['Bryony Tesk'], array_map(static fn (array $one): mixed => \is_array($one['client']) ? $one['client']['label'] : null, $this->get('/api/alike?givenName=Bryony&familyName=Tesk&email=bryony@tesk.example')->ok()->rows('items')));
        self::assertSame([], $this->get('/api/alike?givenName=Wilf&familyName=Ambry')->ok()->rows('items'));
        self::assertSame([], $this->get('/api/alike')->ok()->rows('items'));
    }

    /** @param array<string, mixed> $body over the version as it is */
    private function edit(array $body): Answer
    {
        return $this->call('PUT', "/api/clients/{$this->id}", $body + ['version' => $this->get("/api/clients/{$this->id}")->ok()->number('version')]);
    }
}
