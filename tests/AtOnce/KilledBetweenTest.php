<?php

declare(strict_types=1);

namespace Telamon\Tests\AtOnce;

use Telamon\Tests\Support\AsksRows;
use Telamon\Tests\Support\Books;
use Telamon\Tests\Support\WaitsAtLock;

/**
 * Whoever answers is killed before or after each commit of what is asked; the same is asked again, as people do who got
 * no answer. It is done once, and nothing of it is half.
 */
final class KilledBetweenTest extends AtOnceTestCase
{
    use AsksRows;
    use Books;

    public function testAFormThatIsSent(): void
    {
        $n = 0;
        $this->killed(static function () use (&$n): array {
            ++$n;

            return [
                'POST',
                '/api/public/forms/piano-inquiry/submissions',
                ['answers' => ['name' => "Orla $n", 'email' => "orla$n@example.com", 'service' => 'repair', 'matter' => "It buzzes $n."]],
                '',
            ];
        }, function (int $status) use (&$n): void {
            self::assertSame(201, $status);
            self::assertSame('1', $this->number("SELECT COUNT(*) FROM submission WHERE state = 'waiting' AND CAST(answers AS TEXT) LIKE '%orla$n@example.com%'"));
        });
    }

    public function testATimeThatIsBooked(): void
    {
        $this->killed(function (): array {
            $t = $this->begin();

            return ['POST', '/api/public/booking/visit/bookings', ['t' => $t, 'type' => 'tuning', 'at' => $this->starts($t, 'tuning')[0]], ''];
        }, function (int $status, int $times): void {
            self::assertSame(201, $status);
            self::assertSame((string) $times, $this->number('SELECT COUNT(*) FROM appointment'));
            $this->work();
            $this->clock->sleep(120);
            $this->work();
            // Beyond two from one place the next is kept until its mail was answered.
            self::assertSame((string) $times, $this->number("SELECT COUNT(*) FROM message WHERE template IN ('booked', 'offered')"));
        });
    }

    public function testAPlanThatIsAccepted(): void
    {
        $cookie = $this->web->signIn();
        $this->signIn();
        $n = 0;
        $this->killed(function () use (&$n, $cookie): array {
            ++$n;
            $who = ['Hugh Orrin', 'Tamsin Oakhanger', 'Ed Wendle', 'Bryony Tesk', 'Niamh Corrick', 'Wilf Ambry', 'Peig Ferrowby', 'Jonty Wyreside'][$n - 1];
            $this->inquire([
                'name' => $who,
                'email' => strtolower(strtr($who, ' ', '.')).'@example.com',
                'phone' => null,
                'place' => "{$n}7 ".explode(' ', $who)[1].' Lane, Marrowby',
            ])
                ->ok(201);
            $id = $this->lastSubmission();
            $plan = $this->get("/api/submissions/$id")->ok();
            $version = $plan->at('plan.fingerprint');

            return ['POST', "/api/submissions/$id/accept", ['fingerprint' => $version, 'decisions' => (object) []], $cookie];
        }, function (int $status, int $times): void {
            // Done before the kill, the second one is told so.
            self::assertContains($status, [200, 409]);
            self::assertSame(
                [(string) $times, (string) $times],
                [$this->number('SELECT COUNT(*) FROM project'), $this->number("SELECT COUNT(*) FROM change_set WHERE kind = 'accept'")],
            );
            self::assertSame('0', $this->number('SELECT COUNT(*) FROM project p WHERE NOT EXISTS (SELECT 1 FROM task t WHERE t.project_id = p.id)'));
        });
    }

    public function testAQuoteThatIsSigned(): void
    {
        $this->signIn();
        $this->inquire(['service' => 'repair'])->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->killed(function (): array {
            $quote = $this->post('/api/quotes', ['project' => $this->id('SELECT id FROM project')])->ok(201);
            $kept = $this->call(
                'PUT',
                '/api/quotes/'.$quote->text('id'),
                [
                    'version' => $quote->number('version'),
                    'content' => ['lines' => [[
                        'key' => 'l1',
                        'name' => 'First visit',
                        'quantity' => '1',
                        'price' => '65.00',
                        'vat' => ['category' => 'S', 'rate' => '13.5'],
                    ]]] + $quote->map('content'),
                ],
            )
                ->ok();
            $token = $this->post('/api/quotes/'.$quote->text('id').'/send', ['version' => $kept->number('version')])->ok()->text('token');

            return [
                'POST',
                "/api/public/quotes/$token/accept",
                ['ticked' => [], 'total' => $this->post("/api/public/quotes/$token/total", ['ticked' => []])->ok()->text('total'), 'name' => 'Orla Fennick'],
                '',
            ];
        }, function (int $status, int $times): void {
            self::assertContains($status, [200, 409]);
            self::assertSame(
                [(string) $times, (string) $times],
                [$this->number('SELECT COUNT(*) FROM signed'), $this->number("SELECT COUNT(*) FROM message WHERE template = 'quote-accepted'")],
            );
        });
    }

    public function testAFileThatIsPutWithAProject(): void
    {
        $cookie = $this->web->signIn();
        $this->signIn();
        $this->inquire(['service' => 'repair'])->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $before = (int) $this->number('SELECT COUNT(*) FROM attachment');
        $n = 0;
        $this->killed(function () use (&$n, $cookie): array {
            ++$n;

            return ['POST', '/api/files', ['project' => $this->id('SELECT id FROM project'), 'uploads' => [$this->uploaded("note $n")]], $cookie];
        }, function (int $status, int $times) use ($before): void {
            self::assertContains($status, [201, 409, 422]);
            self::assertSame($before + $times, (int) $this->number('SELECT COUNT(*) FROM attachment'));
        });
    }

    public function testAFileIsPutOnceByEight(): void
    {
        $this->signIn();
        $this->inquire(['service' => 'repair'])->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $before = (int) $this->number('SELECT COUNT(*) FROM attachment');
        $this->web->ask('POST', '/api/files', ['project' => $this->id('SELECT id FROM project'), 'uploads' => [$this->uploaded('note')]], [$this->web->signIn(), $this->web->signIn('sorcha@marrowby.example')]);
        self::assertSame($before + 1, (int) $this->number('SELECT COUNT(*) FROM attachment'));
    }

    public function testADraftIsKeptOnceByEight(): void
    {
        $answers = $this->web->ask('PUT', '/api/drafts/quote.q1', ['revision' => 0, 'value' => 'Words'], [$this->web->signIn()]);
        self::assertSame([200 => 8], self::statuses($answers));
        self::assertSame(['1', '1'], [$this->number('SELECT COUNT(*) FROM draft'), $this->number('SELECT revision FROM draft')]);
    }

    /**
     * @param \Closure(): array{string, string, array<string, mixed>, string} $asked something anew: method, path, body, cookie
     * @param \Closure(int, int): void $holds what has to be so afterwards: status of the second answer, how many were asked so far
     */
    private function killed(\Closure $asked, \Closure $holds): void
    {
        $times = 0;
        foreach (['before', 'after'] as $when) {
            for ($commit = 1; $commit <= 12; ++$commit) {
                [$method, $path, $body, $cookie] = $asked();
                ++$times;
                $sign = "{$this->data}/".WaitsAtLock::DIES;
                file_put_contents($sign, "$when $commit");
                $first = $this->web->once($method, $path, $body, $cookie);
                if (is_file($sign)) {
                    // So many commits there are not: it was answered.
                    unlink($sign);
                    self::assertLessThan(300, $first);
                    self::assertGreaterThan(1, $commit, 'somebody was killed');
                    break;
                }
                self::assertSame(0, $first, "killed $when commit $commit");
                $holds($this->web->once($method, $path, $body, $cookie), $times);
            }
        }
    }

    private function uploaded(string $words): string
    {
        $picture = imagecreatetruecolor(40, 30);
        imagestring($picture, 1, 2, 2, $words, 0xFFFFFF);
        imagepng($picture, $file = "{$this->data}/tmp-note.png");

        return $this->upload($file, 'note.png')->ok(201)->text('id');
    }
}
