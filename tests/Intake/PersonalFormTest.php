<?php

declare(strict_types=1);

namespace Telamon\Tests\Intake;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Clients\Client;
use Telamon\Forms\Form;
use Telamon\Submissions\FormLinks;
use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** A form that somebody gets by a link of their own does not ask again who they are. */
final class PersonalFormTest extends AppTestCase
{
    use AsksRows;

    private string $link = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->link = $this->linkTo('piano-inquiry');
    }

    public function testItAsksEverythingElse(): void
    {
        $anybody = $this->get('/api/public/forms/piano-inquiry')->ok();
        $own = $this->get("/api/public/forms/piano-inquiry/personal?t={$this->link}")->ok();
        self::assertSame('Orla', $own->text('for'));
        self::assertSame(['email', 'name'], $this->sorted(array_diff($this->keys($anybody->rows('pages')), $this->keys($own->rows('pages')))));
        self::assertStringNotContainsString('orla.fennick', $own->body, 'what is known never reaches the browser');
    }

    public function testWhatComesBackIsTheirsWhateverTheBrowserSays(): void
    {
        $this->comesBack(['email' => 'other@example.org', 'name' => 'Somebody Else'])->ok(201);
        $answers = json_decode($this->id('SELECT answers FROM submission ORDER BY rowid DESC LIMIT 1'), true);
        self::assertIsArray($answers);
        self::assertSame(['Orla Fennick', 'orla.fennick@example.com'], [$answers['name'], $answers['email']]);
        $this->work();
        $this->signIn();
        $this->accept($this->lastSubmission())->ok();
        self::assertSame('1', $this->number('SELECT COUNT(*) FROM client'));
    }

    public function testAFormThatFollowsKnowsThemToo(): void
    {
        $this->publish('Second', ['pages' => [['key' => 'p', 'title' => 'All', 'next' => 'Send', 'questions' => [
            ['key' => 'who', 'type' => 'person-name', 'wording' => 'Name', 'required' => true, 'destination' => 'client.name'],
            ['key' => 'tone', 'type' => 'short-text', 'wording' => 'What tone?', 'destination' => 'project.notes'],
        ]]]]);
        $this->db()->executeStatement("UPDATE form_version SET definition = json_set(definition, '$.endings', json('[{\"kind\":\"form\",\"text\":\"second\"}]')) WHERE form_id = (SELECT id FROM form WHERE slug = 'piano-inquiry')");
        $receipt = $this->comesBack()->ok(201);
        self::assertSame(['form', 'second'], [$receipt->text('next.kind'), $receipt->text('next.to')]);
        self::assertStringNotContainsString('Fennick', $receipt->body, 'what is known is not carried over by the browser');
        $next = $this->get('/api/public/forms/second/personal?t='.rawurlencode($receipt->text('next.for')))->ok();
        self::assertSame(['tone'], $this->keys($next->rows('pages')));
        $this->post('/api/public/forms/second/submissions', ['personal' => $receipt->text('next.for'), 'continues' => $receipt->text('continues'), 'answers' => ['tone' => 'Warm']])->ok(201);
        self::assertSame('Orla Fennick', $this->id('SELECT name FROM submission ORDER BY rowid DESC LIMIT 1'));
        self::assertSame('', $this->inquire()->ok(201)->text('next.for'), 'nobody else gets one');
    }

    public function testALinkThatDoesNotHoldSaysSo(): void
    {
        $this->publish('Another', ['pages' => [['key' => 'p', 'title' => 'All', 'next' => 'Send', 'questions' => [
            ['key' => 'wish', 'type' => 'short-text', 'wording' => 'What?'],
        ]]]]);
        $other = $this->linkTo('another');
        foreach (['nonsense', substr($this->link, 0, -1).('0' === $this->link[-1] ? '1' : '0'), $other] as $wrong) {
            $this->get("/api/public/forms/piano-inquiry/personal?t=$wrong")->ok(404);
            self::assertStringContainsString('Load the page again', $this->comesBack(link: $wrong)->ok(404)->text('detail'));
        }
        $this->clock->modify('+59 days');
        $this->get("/api/public/forms/piano-inquiry/personal?t={$this->link}")->ok();
        $this->clock->modify('+2 days');
        $this->get("/api/public/forms/piano-inquiry/personal?t={$this->link}")->ok(404);
    }

    public function testOneOfAMergedClientIsOfTheOneThatStayed(): void
    {
        $this->db()
            ->executeStatement("INSERT INTO client (id, given_name, family_name, sort_name, since, address) SELECT 'stays', 'Orla', 'Fennick-Byrne', 'x', since, '' FROM client");
        $this->db()->executeStatement("UPDATE client SET merged_into_id = 'stays' WHERE id <> 'stays'");
        self::assertSame('Orla', $this->get("/api/public/forms/piano-inquiry/personal?t={$this->link}")->ok()->text('for'));
    }

    public function testOneOfSomebodyWhoIsGoneDoesNotHold(): void
    {
        $this->db()->executeStatement('UPDATE client SET archived_at = since');
        $this->get("/api/public/forms/piano-inquiry/personal?t={$this->link}")->ok(404);
    }

    public function testWhoHasNoMailAddressIsAskedForOne(): void
    {
        $this->db()->executeStatement("DELETE FROM contact_point WHERE kind = 'email'");
        $asked = $this->keys($this->get("/api/public/forms/piano-inquiry/personal?t={$this->link}")->ok()->rows('pages'));
        self::assertContains('email', $asked);
        self::assertNotContains('name', $asked);
    }

    public function testAQuestionThatOthersHangOnIsAsked(): void
    {
        $this->publish('Who decides', ['pages' => [['key' => 'p', 'title' => 'All', 'next' => 'Send', 'questions' => [
            ['key' => 'name', 'type' => 'person-name', 'wording' => 'Name', 'required' => true, 'destination' => 'client.name'],
            ['key' => 'email', 'type' => 'email', 'wording' => 'Mail', 'required' => false, 'destination' => 'client.email'],
            ['key' => 'why', 'type' => 'short-text', 'wording' => 'Why no mail?', 'required' => true, 'showIf' => ['question' => 'email', 'op' => 'is-blank']],
        ]]]]);
        $own = $this->get("/api/public/forms/who-decides/personal?t={$this->linkTo('who-decides')}")->ok();
        self::assertSame(['email', 'why'], $this->sorted($this->keys($own->rows('pages'))));
    }

    public function testAFormThatAsksNothingElseIsAskedWhole(): void
    {
        $this->publish('Just who', ['pages' => [['key' => 'p', 'title' => 'All', 'next' => 'Send', 'questions' => [
            ['key' => 'name', 'type' => 'person-name', 'wording' => 'Name', 'required' => true, 'destination' => 'client.name'],
        ]]]]);
        self::assertSame(['name'], $this->keys($this->get("/api/public/forms/just-who/personal?t={$this->linkTo('just-who')}")->ok()->rows('pages')));
    }

    /** @param array<string, mixed> $also */
    private function comesBack(array $also = [], ?string $link = null): Answer
    {
        return $this->post(
            '/api/public/forms/piano-inquiry/submissions',
            [
                'personal' => $link ?? $this->link,
                'answers' => $also + [
                    'phone' => '020 914 3327',
                    'service' => 'tuning',
                    'piano' => 'Pell & Thrane upright',
                    'place' => '7 Weir Cottages, Marrowby',
                    'matter' => 'Once more, please.',
                ],
            ],
        );
    }

    private function linkTo(string $slug): string
    {
        $links = self::getContainer()->get(FormLinks::class);
        self::assertInstanceOf(FormLinks::class, $links);
        $em = self::getContainer()->get('doctrine.orm.entity_manager');
        self::assertInstanceOf(EntityManagerInterface::class, $em);
        $client = $em->getRepository(Client::class)->findOneBy([]);
        self::assertNotNull($client);
        $form = $em->getRepository(Form::class)->findOneBy(['slug' => $slug]);
        self::assertNotNull($form);
        $address = $links->address($form, $client);

        return rawurldecode(explode('?for=', $address)[1]);
    }

    /**
     * @param list<mixed> $pages
     *
     * @return list<string>
     */
    private function keys(array $pages): array
    {
        $keys = [];
        foreach ($pages as $page) {
            self::assertIsArray($page);
            self::assertIsArray($page['questions']);
            array_push($keys, ...array_map(static fn (mixed $key): string => \is_string($key) ? $key : '', array_column($page['questions'], 'key')));
        }

        return $keys;
    }

    /**
     * @param array<string> $keys
     *
     * @return list<string>
     */
    private function sorted(array $keys): array
    {
        sort($keys);

        return $keys;
    }
}
