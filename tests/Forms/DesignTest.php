<?php

declare(strict_types=1);

namespace Telamon\Tests\Forms;

use PHPUnit\Framework\Attributes\DataProvider;
use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;

final class DesignTest extends AppTestCase
{
    private const STARTERS = ['inquiry', 'short-inquiry', 'booking', 'intake', 'feedback', 'visit-report'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    public function testTheListTellsWhatIsLive(): void
    {
        $this->inquire()->ok(201);
        $this->post('/api/forms', ['title' => 'A draft'])->ok(201);
        $rows = $this->get('/api/forms')->ok()->rows('items');
        self::assertSame(['A draft', 'Booking, who you are', 'Concert booking', 'Piano inquiry', 'Tuning request', 'What do you need?'], array_column($rows, 'title'));
        self::assertSame(['draft', 'live', 'live', 'live', 'live', 'live'], array_column($rows, 'state'));
        self::assertSame(1, $rows[3]['submissions']);
    }

    #[DataProvider('starters')]
    public function testAStarterCanBePublishedAsItIs(string $starter): void
    {
        $form = $this->post('/api/forms', ['title' => "Our $starter", 'starter' => $starter])->ok(201);
        self::assertSame([], $form->at('problems'));
        self::assertSame([], $form->at('advice'));
        $this->published($form);
        $public = $this->get('/api/public/forms/our-'.$starter)->ok();
        self::assertSame("Our $starter", $public->text('title'));
        self::assertNotSame([], $public->rows('pages'));
    }

    /** @return iterable<array{string}> */
    public static function starters(): iterable
    {
        foreach (self::STARTERS as $starter) {
            yield [$starter];
        }
    }

    public function testTheStartersAreListed(): void
    {
        self::assertSame(self::STARTERS, $this->get('/api/forms/starters')->ok()->column('items', 'key'));
        $this->post('/api/forms', ['title' => 'X', 'starter' => 'none'])->ok(422);
        $this->post('/api/forms', ['title' => ' '])->ok(422);
    }

    public function testADraftIsKeptRightOrWrongAndPublishedOnlyRight(): void
    {
        $form = $this->post('/api/forms', ['title' => 'Ours'])->ok(201);
        $wrong = $this->keep($form, ['pages' => [['key' => 'p', 'title' => 'P', 'questions' => [['key' => 'a', 'type' => 'mood', 'wording' => 'How are you?']]]]])->ok();
        self::assertSame(['question 1: the type is not known'], $wrong->at('problems'));
        $this->post('/api/forms/'.$wrong->text('id').'/publish', ['version' => $wrong->number('version')])->ok(422);
        self::assertSame('draft', $this->get('/api/forms/'.$wrong->text('id'))->ok()->text('state'));
        self::assertStringContainsString('How are you?', $this->get('/api/forms/'.$wrong->text('id'))->body);
    }

    public function testAFormWithoutNameOrEmailIsAdvisedInPlainWords(): void
    {
        $form = $this->post('/api/forms', ['title' => 'Ours'])->ok(201);
        $kept = $this->keep($form, ['title' => 'Ours', 'pages' => [['key' => 'p', 'questions' => [['key' => 'a', 'type' => 'short-text', 'wording' => 'A']]]]])->ok();
        self::assertCount(2, (array) $kept->at('advice'));
    }

    public function testTheRuleThatAsksAboutWhatADraftGivesUpIsNamed(): void
    {
        $this->post(
            '/api/rules',
            [
                'name' => 'Sticky keys',
                'enabled' => true,
                'forms' => ['piano-inquiry'],
                'if' => ['question' => 'matter', 'op' => 'contains', 'value' => 'stick'],
                'then' => [['kind' => 'note', 'text' => 'Quick.']],
            ],
        )
            ->ok(201);
        $this->post(
            '/api/rules',
            [
                'name' => 'Off',
                'enabled' => false,
                'forms' => ['piano-inquiry'],
                'if' => ['question' => 'matter', 'op' => 'is-blank'],
                'then' => [['kind' => 'note', 'text' => 'Ask.']],
            ],
        )
            ->ok(201);
        $form = $this->get('/api/forms/'.$this->idOf('piano-inquiry'))->ok();
        self::assertSame([], $form->at('advice'));
        $definition = $form->at('definition');
        self::assertIsArray($definition);
        self::assertIsArray($definition['pages']);
        foreach ($definition['pages'] as &$page) {
            self::assertIsArray($page);
            self::assertIsArray($page['questions']);
            $page['questions'] = array_values(array_filter($page['questions'], static fn (mixed $question): bool => \is_array($question) && 'matter' !== $question['key']));
        }
        $advice = (array) $this->keep($form, $definition)->ok()->at('advice');
        self::assertCount(1, $advice);
        self::assertIsString($advice[0]);
        self::assertStringContainsString('The rule “Sticky keys” asks about “', $advice[0]);
    }

    public function testAPublishedVersionNeverChangesAndKeepsItsSubmissions(): void
    {
        $this->inquire(['matter' => 'Under version one.'])->ok(201);
        $submission = $this->lastSubmission();
        $id = $this->idOf('piano-inquiry');
        $form = $this->get("/api/forms/$id")->ok();
        $definition = $form->map('definition');
        self::assertIsArray($definition['pages']);
        $text = str_replace('What is the matter with it?', 'What ails it?', json_encode($definition, \JSON_THROW_ON_ERROR));
        $changed = $this->keep($form, (array) json_decode($text, true))->ok();
        self::assertSame(['“What is the matter with it?” now reads “What ails it?”'], $changed->at('changes'));
        self::assertStringContainsString('What is the matter', $this->get('/api/public/forms/piano-inquiry')->ok()->body, 'not before it is published');
        $this->published($changed);
        self::assertStringContainsString('What ails it?', $this->get('/api/public/forms/piano-inquiry')->ok()->body);
        self::assertStringContainsString('What is the matter', $this->get("/api/submissions/$submission")->ok()->body, 'as it was asked');
        self::assertSame([], $this->get("/api/forms/$id")->ok()->at('changes'));
    }

    public function testPublishingCanBeUndone(): void
    {
        $id = $this->idOf('piano-inquiry');
        $form = $this->get("/api/forms/$id")->ok();
        $this->published($this->keep($form, ['intro' => 'Another.'] + $form->map('definition'))->ok());
        $change = $this->get('/api/changes/last')->ok();
        self::assertSame('published Piano inquiry', $change->text('change.words'));
        $this->post('/api/changes/'.$change->text('change.id').'/undo')->ok(409);
        $this->post('/api/changes/'.$change->text('change.id').'/undo', ['outside' => true])->ok();
        self::assertSame('Nine short questions. A person reads them and answers within two working hours.', $this->get('/api/public/forms/piano-inquiry')->ok()->text('intro'));
    }

    public function testTwoPeopleAtOneDraftDoNotOverwriteEachOther(): void
    {
        $form = $this->post('/api/forms', ['title' => 'Ours'])->ok(201);
        $this->keep($form, ['title' => 'First'] + $form->map('definition'))->ok();
        $this->keep($form, ['title' => 'Second'] + $form->map('definition'))->ok(409);
        $this->post('/api/forms/'.$form->text('id').'/publish', ['version' => $form->number('version')])->ok(409);
        self::assertStringContainsString('First', $this->get('/api/forms/'.$form->text('id'))->ok()->body);
    }

    public function testAFormGoesOutAsAFileAndComesBackIn(): void
    {
        $file = $this->get('/api/forms/'.$this->idOf('piano-inquiry').'/export')->ok();
        self::assertStringContainsString('piano-inquiry.json', $file->headers['content-disposition']);
        $back = $this->post('/api/forms/import', ['file' => json_decode($file->body, true)])->ok(201);
        self::assertSame($file->map('definition'), $back->map('definition'));
        self::assertSame('draft', $back->text('state'));
    }

    public function testAWrongFileSaysWhere(): void
    {
        self::assertStringContainsString('no form file', $this->post('/api/forms/import', ['file' => 'x'])->ok(422)->violations()['file']);
        $circular = ['definition' => ['pages' => [['key' => 'p', 'questions' => [['key' => 'a', 'type' => 'short-text', 'showIf' => ['question' => 'a', 'op' => 'is-blank']]]]]]];
        self::assertStringContainsString('question 1: its condition asks about “a”', $this->post('/api/forms/import', ['file' => $circular])->ok(422)->violations()['file']);
    }

    public function testACopyIsAFormOfItsOwn(): void
    {
        $copy = $this->post('/api/forms', ['title' => 'Piano inquiry', 'copyOf' => $this->idOf('piano-inquiry')])->ok(201);
        self::assertSame('piano-inquiry-2', $copy->text('slug'));
        self::assertStringContainsString('What piano is it?', $copy->body);
    }

    public function testTryingShowsThePlanAndMakesNothing(): void
    {
        $id = $this->idOf('piano-inquiry');
        $plan = $this->post("/api/forms/$id/try", ['answers' => ['name' => 'Test Person', 'email' => 'test@example.com', 'service' => 'repair']])->ok();
        self::assertStringContainsString('Test Person', $plan->body);
        self::assertArrayHasKey('email', $this->post("/api/forms/$id/try", ['answers' => ['name' => 'X Y', 'service' => 'repair']])->ok(422)->violations());
        self::assertSame(0, $this->countRows('submission'));
        self::assertSame(0, $this->countRows('client'));
    }

    public function testWhatCannotBeTriedIsNotAskedFor(): void
    {
        $form = $this->post('/api/forms', ['title' => 'Signed', 'starter' => 'short-inquiry'])->ok(201);
        $definition = $form->map('definition');
        self::assertIsArray($definition['pages']);
        self::assertIsArray($definition['pages'][0]);
        self::assertIsArray($definition['pages'][0]['questions']);
        array_push(
            $definition['pages'][0]['questions'],
            ['key' => 'agreed', 'type' => 'signature', 'wording' => 'Signed', 'required' => true],
            ['key' => 'proof', 'type' => 'files', 'wording' => 'Proof', 'required' => true],
        );
        $this->keep($form, $definition)->ok();
        $this->post('/api/forms/'.$form->text('id').'/try', ['answers' => ['name' => 'Orla Fennick', 'email' => 'o@example.com', 'matter' => 'x']])->ok();
    }

    public function testAFormStandsOnlyOnItsDaysAndUpToItsLimit(): void
    {
        $id = $this->idOf('piano-inquiry');
        $settings = ['slug' => 'piano-inquiry', 'opensOn' => '2026-11-26', 'closesOn' => '2026-11-27', 'limit' => null, 'closedText' => 'We are closed for the move.'];
        $this->call('PUT', "/api/forms/$id/settings", $settings)->ok();
        self::assertSame('We are closed for the move.', $this->get('/api/public/forms/piano-inquiry')->ok(410)->text('detail'));
        $this->inquire()->ok(410);
        $this->clock->modify('+1 day');
        $this->inquire()->ok(201);
        $this->clock->modify('+2 days');
        $this->inquire()->ok(410);
        $this->signIn();
        $this->call('PUT', "/api/forms/$id/settings", ['opensOn' => '', 'closesOn' => '', 'limit' => 2] + $settings)->ok();
        $this->inquire()->ok(201);
        $this->inquire()->ok(410);
    }

    public function testWrongSettingsAreToldBesideTheField(): void
    {
        $id = $this->idOf('piano-inquiry');
        $good = ['slug' => 'piano-inquiry', 'opensOn' => '', 'closesOn' => '', 'limit' => null, 'closedText' => ''];
        foreach ([['slug', 'No Blanks'], ['slug', 'tuning'], ['opensOn', '2027-02-30'], ['limit', 0], ['closedText', str_repeat('x', 1001)]] as [$field, $value]) {
            self::assertArrayHasKey($field, $this->call('PUT', "/api/forms/$id/settings", [$field => $value] + $good)->ok(422)->violations());
        }
        self::assertArrayHasKey('closesOn', $this->call('PUT', "/api/forms/$id/settings", ['opensOn' => '2027-02-02', 'closesOn' => '2027-02-01'] + $good)->ok(422)->violations());
    }

    public function testAnEndingLeadsOn(): void
    {
        $form = $this->post('/api/forms', ['title' => 'Short', 'starter' => 'short-inquiry'])->ok(201);
        $this->published($this->keep(
            $form,
            ['endings' => [
                ['kind' => 'form', 'text' => 'piano-inquiry', 'when' => ['question' => 'matter', 'op' => 'contains', 'value' => 'piano']],
                ['kind' => 'thanks', 'text' => 'Thank you, {{name}}. We read: {{matter}}'],
            ]] + $form->map('definition'),
        )->ok());
        $send = fn (string $matter): Answer => $this->post('/api/public/forms/short/submissions', ['answers' => ['name' => 'Orla Fennick', 'email' => 'o@example.com', 'matter' => $matter]])
            ->ok(201);
        self::assertSame(['kind' => 'form', 'to' => 'piano-inquiry', 'for' => ''], $send('My piano')->at('next'));
        self::assertNull($send('A harp')->at('next'));
        self::assertSame('Thank you, Orla Fennick. We read: A harp', $send('A harp')->text('message'));
    }

    public function testAnAnswerToAQuestionThatIsNotShownIsNotKept(): void
    {
        $this->published($this->post('/api/forms', ['title' => 'Intake', 'starter' => 'intake'])->ok(201));
        $this->post('/api/public/forms/intake/submissions', ['answers' => ['name' => 'Orla', 'email' => 'o@example.com', 'thing' => 'Upright', 'decides' => 'yes', 'who_decides' => 'left over', 'consent' => 'yes', 'history' => ['service', 'repair'], 'repairs' => 'Two hammers']])->ok(201);
        $submission = $this->get('/api/submissions/'.$this->lastSubmission())->ok();
        self::assertStringNotContainsString('left over', $submission->body);
        self::assertContains('Two hammers', $submission->column('answers', 'text'));
        self::assertContains('Regular service, Repairs', $submission->column('answers', 'text'));
        $this->accept($this->lastSubmission())->ok();
    }

    public function testFieldStaffDoNotDesign(): void
    {
        $this->signIn('pim@marrowby.example');
        $this->get('/api/forms')->ok(403);
        $this->post('/api/forms', ['title' => 'X'])->ok(403);
    }

    public function testThreeHundredQuestionsAreTakenAndOneMoreIsNot(): void
    {
        $form = $this->post('/api/forms', ['title' => 'Long'])->ok(201);
        $questions = array_map(static fn (int $n): array => ['key' => "q$n", 'type' => 'short-text', 'wording' => "Question $n"], range(1, 300));
        $kept = $this->keep($form, ['title' => 'Long', 'purpose' => 'open', 'pages' => [['key' => 'p', 'questions' => $questions]]])->ok();
        self::assertSame([], $kept->at('problems'));
        $more = $this->keep($kept, ['title' => 'Long', 'pages' => [['key' => 'p', 'questions' => [...$questions, ['key' => 'q301', 'type' => 'short-text']]]]])->ok();
        self::assertSame(['a form has at most 300 questions'], $more->at('problems'));
    }

    /** @param array<mixed> $definition */
    private function keep(Answer $form, array $definition): Answer
    {
        return $this->call('PUT', '/api/forms/'.$form->text('id'), ['version' => $form->number('version'), 'definition' => $definition]);
    }

    private function published(Answer $form): Answer
    {
        return $this->post('/api/forms/'.$form->text('id').'/publish', ['version' => $form->number('version')])->ok();
    }

    private function idOf(string $slug): string
    {
        $id = $this->db()->fetchOne('SELECT id FROM form WHERE slug = ?', [$slug]);
        self::assertIsString($id);

        return $id;
    }
}
