<?php

declare(strict_types=1);

namespace Telamon\Tests\Intake;

use Telamon\Http\ProofOfWork;
use Telamon\Submissions\Origin;
use Telamon\Tests\Support\Answer;
use Telamon\Tests\Support\AppTestCase;

/** Where a submission came from, what it carries on, and whether a browser did its work for it. */
final class OriginTest extends AppTestCase
{
    private const ANSWERS = ['name' => 'Orla Fennick', 'email' => 'orla@example.com', 'service' => 'repair'];

    protected function tearDown(): void
    {
        self::ask(0);
        parent::tearDown();
    }

    public function testItIsKnownWhereASubmissionCameFrom(): void
    {
        $this->sendForm([
            'channel' => 'embed', 'page' => 'https://school.example.com/pianos?utm_source=letter', 'seconds' => 90,
            'campaign' => ['utm_source' => 'letter', 'utm_campaign' => 'spring', 'password' => 'x', 'utm_term' => ['no']],
        ], ['REMOTE_ADDR' => '203.0.113.77'])->ok(201);
        $this->signIn();
        $submission = $this->get('/api/submissions/'.$this->lastSubmission())->ok();
        self::assertSame('embed', $submission->text('channel'));
        self::assertSame('https://school.example.com/pianos?utm_source=letter', $submission->text('origin.page'));
        self::assertSame(['utm_source' => 'letter', 'utm_campaign' => 'spring'], $submission->map('origin.campaign'));
        self::assertSame('203.0.113.0', $submission->text('origin.networkAddress'), 'shortened unless the business says otherwise');
        self::assertSame('2026-11-25T10:40:30+00:00', $submission->text('origin.beganAt'));
        self::assertSame(1, $submission->number('origin.version'));
        $this->work();
        $this->accept($this->lastSubmission())->ok();
        self::assertSame('letter, spring', $this->db()->fetchOne('SELECT source FROM project'), 'the project knows it too');
    }

    public function testASourceIsCalledAsTheBusinessCallsIt(): void
    {
        $known = ['Our page', 'Sign at the steps'];
        $of = static fn (string $source, string $campaign = ''): string => (new Origin(campaign: ['utm_source' => $source, 'utm_campaign' => $campaign]))->source($known);
        self::assertSame('Our page', $of('our-page'));
        self::assertSame('Sign at the steps', $of('town', 'SIGN_at the Steps'));
        self::assertSame('Our page, new', $of('Our page, new'));
        self::assertSame('spring', $of('', 'spring'));
        self::assertSame('', $of('', ''));
        self::assertSame('', (new Origin())->source(['', '–']));
        self::assertSame(60, mb_strlen($of(str_repeat('ö', 70))));
    }

    public function testTheWholeAddressIsKeptWhereTheBusinessSaysSo(): void
    {
        $this->signIn();
        $this->call('PUT', '/api/setup/intake', ['shortensAddresses' => false, 'unfinishedMinutes' => 30])->ok();
        $this->sendForm(['page' => 'javascript:alert(1)'], ['REMOTE_ADDR' => '203.0.113.77'])->ok(201);
        $submission = $this->get('/api/submissions/'.$this->lastSubmission())->ok();
        self::assertSame(['203.0.113.77', ''], [$submission->text('origin.networkAddress'), $submission->text('origin.page')]);
    }

    public function testWithoutItsWorkASubmissionIsSetAsideNeverThrownAway(): void
    {
        self::ask(8);
        $this->bootAnew();
        $challenge = $this->get('/api/public/forms/piano-inquiry/challenge')->ok();
        self::assertSame(8, $challenge->number('bits'));
        $proof = self::solve($challenge->text('challenge'), 'key-1', 8);
        $states = [];
        foreach ([
            'done' => ['key-1', $proof],
            'done again, the same sending' => ['key-1', $proof],
            'for another sending' => ['key-2', $proof],
            'none' => ['key-3', null],
            'of another text' => ['key-4', ['challenge' => 'made-up.9999999999.0', 'nonce' => '1']],
        ] as $what => [$key, $given]) {
            $this->sendForm(['proof' => $given], ['HTTP_IDEMPOTENCY_KEY' => $key])->ok(201);
            $states[$what] = $this->db()->fetchOne('SELECT state FROM submission ORDER BY rowid DESC LIMIT 1');
        }
        self::assertSame(
            ['done' => 'waiting', 'done again, the same sending' => 'waiting', 'for another sending' => 'set-aside', 'none' => 'set-aside', 'of another text' => 'set-aside'],
            $states,
        );
        self::assertSame(4, $this->countRows('submission'));
        $this->clock->modify('+2 hours');
        $this->sendForm(['proof' => self::solve($challenge->text('challenge'), 'key-5', 8)], ['HTTP_IDEMPOTENCY_KEY' => 'key-5'])->ok(201);
        self::assertSame('set-aside', $this->db()->fetchOne('SELECT state FROM submission ORDER BY rowid DESC LIMIT 1'), 'a challenge is good for an hour');
    }

    /** FIPS 180-4's SHA-256 of “abc” begins with ba (10111010): no zero bit. */
    public function testZeroBitsAreCounted(): void
    {
        self::assertSame(0, ProofOfWork::zeroBits(hash('sha256', 'abc', true)));
        self::assertSame([7, 8, 11, 24], array_map(ProofOfWork::zeroBits(...), ["\x01\xff", "\x00\xff", "\x00\x1f", "\x00\x00\x00"]));
    }

    public function testTheLongFormFinishesTheShortOne(): void
    {
        [$short, $receipt] = $this->shortThenLong();
        self::assertFalse($this->get("/api/submissions/$short")->ok()->at('unfinished'));
        $this->clock->modify('+31 minutes');
        self::assertTrue($this->get("/api/submissions/$short")->ok()->at('unfinished'), 'nothing came in time');
        self::assertSame([true], $this->get('/api/submissions')->ok()->column('items', 'unfinished'));

        $this->sendForm(['continues' => $receipt->text('continues')])->ok(201);
        $long = $this->lastSubmission();
        $before = $this->get("/api/submissions/$short")->ok();
        self::assertSame(
            ['set-aside', 'continued', 'Carried on in A-0002.', false],
            [$before->text('state'), $before->text('aside.reason'), $before->text('aside.note'), $before->at('unfinished')],
        );
        self::assertSame('A-0002 Orla Fennick', $before->text('continuedBy.label'));
        $after = $this->get("/api/submissions/$long")->ok();
        self::assertSame('A-0001 Orla Fennick', $after->text('continues.label'));
        $made = $this->accept($long)->ok()->rows('made');
        $project = array_values(array_filter($made, static fn (array $record): bool => 'project' === $record['kind']))[0]['id'] ?? '';
        self::assertIsString($project);
        self::assertStringContainsString("What is it about?\nThe pedal", $this->get("/api/projects/$project")->ok()->text('notes'), 'what only the short one asked is not lost');
    }

    public function testAMadeUpReceiptCarriesNothingOn(): void
    {
        [$short] = $this->shortThenLong();
        $this->sendForm(['continues' => "$short.9999999999.".str_repeat('0', 64)])->ok(201);
        self::assertNull($this->get('/api/submissions/'.$this->lastSubmission())->ok()->at('continues'));
        self::assertSame('waiting', $this->get("/api/submissions/$short")->ok()->text('state'));
    }

    public function testOnlyTheListedSitesMayFrameAForm(): void
    {
        $this->browser->request('GET', '/f/piano-inquiry?embed=1');
        self::assertStringContainsString("frame-ancestors 'none'", (string) $this->browser->getResponse()->headers->get('Content-Security-Policy'));
        self::assertSame('DENY', $this->browser->getResponse()->headers->get('X-Frame-Options'));
        $this->signIn();
        $id = $this->db()->fetchOne("SELECT id FROM form WHERE slug = 'piano-inquiry'");
        self::assertIsString($id);
        $settings = ['slug' => 'piano-inquiry', 'opensOn' => '', 'closesOn' => '', 'limit' => null, 'closedText' => ''];
        $form = $this->call('PUT', "/api/forms/$id/settings", $settings + ['sites' => ['https://School.example.com/', 'http://localhost:8080']])->ok();
        self::assertSame(['https://school.example.com', 'http://localhost:8080'], $form->at('settings.sites'));
        $this->browser->request('GET', '/f/piano-inquiry?embed=1');
        self::assertStringContainsString(
            'frame-ancestors https://school.example.com http://localhost:8080;',
            $this->browser->getResponse()->headers->get('Content-Security-Policy').';',
        );
        self::assertFalse($this->browser->getResponse()->headers->has('X-Frame-Options'));
        $this->browser->request('GET', '/f/piano-inquiry');
        self::assertStringContainsString(
            "frame-ancestors 'none'",
            (string) $this->browser->getResponse()->headers->get('Content-Security-Policy'),
            'the page itself stays unframed',
        );
        foreach (["https://a.example.com; script-src 'unsafe-inline'", '*', 'javascript:x', 'https://a.example.com/path'] as $site) {
            self::assertSame(['sites'], array_keys($this->call('PUT', "/api/forms/$id/settings", $settings + ['sites' => [$site]])->ok(422)->violations()), $site);
        }
    }

    /** @return array{string, Answer} the id of the short submission, and its receipt */
    private function shortThenLong(): array
    {
        $this->signIn();
        $form = $this->post('/api/forms', ['title' => 'Short', 'starter' => 'short-inquiry'])->ok(201);
        $kept = $this->call(
            'PUT',
            '/api/forms/'.$form->text('id'),
            ['version' => $form->number('version'), 'definition' => ['endings' => [['kind' => 'form', 'text' => 'piano-inquiry']]] + $form->map('definition')],
        )
            ->ok();
        $this->post('/api/forms/'.$form->text('id').'/publish', ['version' => $kept->number('version')])->ok();
        $receipt = $this->post('/api/public/forms/short/submissions', ['answers' => ['name' => 'Orla Fennick', 'email' => 'orla@example.com', 'matter' => 'The pedal']])->ok(201);
        self::assertSame('form', $receipt->text('next.kind'));

        return [$this->lastSubmission(), $receipt];
    }

    /**
     * @param array<string, mixed> $body
     * @param array<string, string> $server
     */
    private function sendForm(array $body, array $server = []): Answer
    {
        return $this->call('POST', '/api/public/forms/piano-inquiry/submissions', $body + ['answers' => self::ANSWERS], $server);
    }

    private static function ask(int $bits): void
    {
        $_ENV['TELAMON_PROOF_BITS'] = $_SERVER['TELAMON_PROOF_BITS'] = (string) $bits;
    }

    /** Settings are read when the services that need them are made. */
    private function bootAnew(): void
    {
        self::ensureKernelShutdown();
        $this->browser = self::createClient();
    }

    /** @return array{challenge: string, nonce: string} */
    private static function solve(string $challenge, string $key, int $bits): array
    {
        $nonce = 0;
        while (ProofOfWork::zeroBits(hash('sha256', "$challenge|$key|$nonce", true)) < $bits) {
            ++$nonce;
        }

        return ['challenge' => $challenge, 'nonce' => (string) $nonce];
    }
}
