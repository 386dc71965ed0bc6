<?php

declare(strict_types=1);

namespace Telamon\Tests\Matching;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Clients\Client;
use Telamon\Tests\Support\AppTestCase;

final class MergeTest extends AppTestCase
{
    /** @var list<string> */
    private array $ids = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->inquire(['name' => 'Orla Fenick', 'email' => 'orla@example.org'])->ok(201);
        $this->accept($this->lastSubmission(), ['client' => 'new'])->ok();
        // Accepting remembers that they are two: here nobody has said so.
        $this->db()->executeStatement('DELETE FROM told_apart');
        foreach ($this->db()->fetchFirstColumn('SELECT id FROM client ORDER BY id') as $id) {
            $this->ids[] = \is_string($id) ? $id : '';
        }
    }

    public function testAPairIsShownFieldByField(): void
    {
        $list = $this->get('/api/duplicates')->ok();
        self::assertSame(1, $list->number('total'));
        self::assertSame(['Orla Fennick', 'Orla Fenick'], [$list->text('items.0.one.name'), $list->text('items.0.other.name')]);
        self::assertSame(
            [['name', 'nearly'], ['email', 'differs'], ['phone', 'same']],
            array_map(static fn (array $f): array => [$f['key'], $f['verdict']], $list->rows('items.0.fields')),
        );
        self::assertSame(1, $list->number('items.0.one.projects'));
    }

    public function testAllThatHungOnOneHangsOnTheOtherAndBack(): void
    {
        [$one, $other] = $this->ids;
        $done = $this->post("/api/clients/$one/merge", ['other' => $other, 'take' => ['name']])->ok();
        self::assertSame(0, $this->get('/api/duplicates')->ok()->number('total'));
        $client = $this->get("/api/clients/$one")->ok();
        self::assertSame('Orla Fenick', $client->text('name'));
        self::assertSame(['orla.fennick@example.com', 'orla@example.org', '+353209143327'], $client->column('contactPoints', 'value'));
        self::assertCount(2, $this->get("/api/projects?client=$one")->ok()->rows('items'));
        self::assertCount(2, $this->get("/api/submissions?client=$one")->ok()->rows('items'));
        self::assertSame([1], [$this->get('/api/clients')->ok()->number('total')]);
        self::assertSame($one, $this->get("/api/clients/$other")->ok()->text('mergedInto.id'));
        $this->post("/api/clients/$one/merge", ['other' => $other])->ok(409);

        $this->post('/api/changes/'.$done->text('change.id').'/undo')->ok();
        self::assertSame(1, $this->get('/api/duplicates')->ok()->number('total'));
        $client = $this->get("/api/clients/$one")->ok();
        self::assertSame('Orla Fennick', $client->text('name'));
        self::assertSame(['orla.fennick@example.com', '+353209143327'], $client->column('contactPoints', 'value'));
        self::assertCount(1, $this->get("/api/projects?client=$one")->ok()->rows('items'));
        self::assertNull($this->get("/api/clients/$other")->ok()->at('mergedInto'));
        self::assertCount(1, $this->get("/api/projects?client=$other")->ok()->rows('items'));
    }

    public function testAMergeSetsOffTheRulesThatWaitForAChangedClient(): void
    {
        [$one, $other] = $this->ids;
        $rule = fn (string $what, string $tag): string => $this->post(
            '/api/rules',
            [
                'name' => "On $what",
                'enabled' => true,
                'why' => '',
                'when' => 'client',
                'what' => $what,
                'then' => [['kind' => 'tag', 'record' => 'client', 'tag' => $tag], ['kind' => 'task', 'name' => 'Ring them', 'doer' => 'coordinator', 'days' => 0]],
            ],
        )
            ->ok(201)
            ->text('id');
        $rule('email', 'new address');
        $rule('organisation', 'not this');
        $tasks = $this->countRows('task');
        $done = $this->post("/api/clients/$one/merge", ['other' => $other, 'take' => []])->ok();
        self::assertSame(['new address'], $this->get("/api/clients/$one")->ok()->at('tags'), 'the mail address of the other is theirs now');
        self::assertSame($tasks, $this->countRows('task'), 'there is no project that a task could be added to');
        self::assertSame([1, 0], $this->get('/api/rules')->ok()->column('items', 'times'));
        $this->post('/api/changes/'.$done->text('change.id').'/undo')->ok();
        self::assertSame([[], []], [$this->get("/api/clients/$one")->ok()->at('tags'), $this->get("/api/clients/$other")->ok()->at('tags')]);
    }

    public function testCustomFieldsAreChosenAndAddressesKept(): void
    {
        [$one, $other] = $this->ids;
        $this->post('/api/setup/custom-fields', ['record' => 'client', 'label' => 'Floor', 'kind' => 'number'])->ok(201);
        $this->db()->executeStatement('UPDATE client SET custom = \'{"floor":"1"}\', address = \'7 Weir Cottages\' WHERE id = ?', [$one]);
        $this->db()->executeStatement('UPDATE client SET custom = \'{"floor":"3"}\', address = \'9 Mill Race\' WHERE id = ?', [$other]);
        self::assertContains('custom.floor', $this->get('/api/duplicates')->ok()->column('items.0.fields', 'key'));
        $this->post("/api/clients/$one/merge", ['other' => $other, 'take' => ['custom.Floor!']])->ok(422);
        $this->post("/api/clients/$one/merge", ['other' => $other, 'take' => ['address', 'custom.floor']])->ok();
        $client = $this->get("/api/clients/$one")->ok();
        self::assertSame(['9 Mill Race', ['7 Weir Cottages'], '3'], [$client->text('address'), $client->at('otherAddresses'), $client->text('custom.0.value')]);
    }

    public function testALanguageIsTakenOverAndChosenWhereTheyDiffer(): void
    {
        [$one, $other] = $this->ids;
        $this->db()->executeStatement("UPDATE client SET language = 'ga' WHERE id = ?", [$one]);
        $this->db()->executeStatement("UPDATE client SET language = 'pl' WHERE id = ?", [$other]);
        self::assertContains(
            ['language', 'Irish', 'Polish', 'differs'],
            array_map(static fn (array $f): array => [$f['key'], $f['here'], $f['there'], $f['verdict']], $this->get('/api/duplicates')->ok()->rows('items.0.fields')),
        );
        $done = $this->post("/api/clients/$one/merge", ['other' => $other, 'take' => ['language']])->ok();
        self::assertSame('pl', $this->get("/api/clients/$one")->ok()->text('language'));
        $this->post('/api/changes/'.$done->text('change.id').'/undo')->ok();
        self::assertSame('ga', $this->get("/api/clients/$one")->ok()->text('language'));
    }

    /** What is not in the one is taken from the other, whatever a client will be made of: a new column is named here, or moves. */
    public function testNothingThatOnlyTheOtherSaysIsLost(): void
    {
        $stays = ['id', 'version', 'sortName', 'givenName', 'familyName', 'since', 'archivedAt', 'lastContact', 'otherAddresses'];
        [$one, $other] = $this->ids;
        $em = self::getContainer()->get('doctrine.orm.entity_manager');
        self::assertInstanceOf(EntityManagerInterface::class, $em);
        $meta = $em->getClassMetadata(Client::class);
        $left = [];
        foreach (array_diff($meta->getFieldNames(), $stays) as $field) {
            $column = $meta->getColumnName($field);
            $said = match ($meta->getTypeOfField($field)) {
                'json' => 'tags' === $field ? '["known"]' : '{"known":"yes"}',
                default => 'language' === $field ? 'pl' : 'said',
            };
            $this->db()->executeStatement("UPDATE client SET $column = ? WHERE id = ?", ['json' === $meta->getTypeOfField($field) ? '[]' : '', $one]);
            $this->db()->executeStatement("UPDATE client SET $column = ? WHERE id = ?", [$said, $other]);
            $left[$column] = $said;
        }
        self::assertGreaterThan(5, \count($left));
        $this->post("/api/clients/$one/merge", ['other' => $other, 'take' => []])->ok();
        foreach ($left as $column => $said) {
            self::assertSame($said, $this->db()->fetchOne("SELECT $column FROM client WHERE id = ?", [$one]), $column);
        }
    }

    public function testAnArrivalFindsTheClientThatStayed(): void
    {
        [$one, $other] = $this->ids;
        $this->post("/api/clients/$one/merge", ['other' => $other])->ok();
        $this->inquire(['name' => 'Orla Fenick', 'email' => 'orla@example.org', 'phone' => null])->ok(201);
        $this->accept($this->lastSubmission())->ok();
        self::assertSame($one, $this->db()->fetchOne('SELECT client_id FROM submission ORDER BY rowid DESC LIMIT 1'));
    }

    public function testAPlanMadeBeforeTheMergeIsMadeAgain(): void
    {
        [$one, $other] = $this->ids;
        $this->inquire(['name' => 'Orla Fenick', 'email' => 'orla@example.org'])->ok(201);
        $id = $this->lastSubmission();
        $plan = $this->get("/api/submissions/$id")->ok();
        $this->post("/api/clients/$one/merge", ['other' => $other])->ok();
        $this->post("/api/submissions/$id/accept", ['fingerprint' => $plan->text('plan.fingerprint'), 'decisions' => (object) ['client' => $other]])->ok(409);
    }

    public function testToldApartIsRememberedUntilItIsTakenBack(): void
    {
        [$one, $other] = $this->ids;
        $done = $this->post("/api/clients/$one/tell-apart", ['other' => $other])->ok();
        self::assertSame(0, $this->get('/api/duplicates')->ok()->number('total'));
        $this->post('/api/changes/'.$done->text('change.id').'/undo')->ok();
        self::assertSame(1, $this->get('/api/duplicates')->ok()->number('total'));
    }

    public function testWhatCannotBeIsRefused(): void
    {
        [$one] = $this->ids;
        self::assertSame(['other'], array_keys($this->post("/api/clients/$one/merge", ['other' => $one])->ok(422)->violations()));
        self::assertSame(['take'], array_keys($this->post("/api/clients/$one/merge", ['other' => $this->ids[1], 'take' => ['shoes']])->ok(422)->violations()));
        $this->post('/api/clients/00000000-0000-0000-0000-000000000000/merge', ['other' => $one])->ok(404);
        $this->signIn('pim@marrowby.example');
        $this->get('/api/duplicates')->ok(403);
        $this->post("/api/clients/$one/merge", ['other' => $this->ids[1]])->ok(403);
    }
}
