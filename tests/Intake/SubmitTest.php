<?php

declare(strict_types=1);

namespace Telamon\Tests\Intake;

use PHPUnit\Framework\Attributes\DataProvider;
use Telamon\Tests\Support\AppTestCase;

final class SubmitTest extends AppTestCase
{
    public function testAnInquiryIsThankedWithANumber(): void
    {
        $answer = $this->inquire()->ok(201);
        self::assertSame('A-0001', $answer->text('reference'));
        self::assertStringContainsString('A-0001', $answer->text('message'));
        self::assertSame('A-0002', $this->inquire()->ok(201)->text('reference'));
    }

    public function testItIsKeptWordForWord(): void
    {
        $written = "  “Ó Briain” <b>x</b> =1+1 \u{202E}abc 🎹 ";
        $this->inquire(['matter' => $written])->ok(201);
        $this->signIn();
        $submission = $this->get('/api/submissions/'.$this->lastSubmission())->ok();
        self::assertContains($written, $submission->column('answers', 'text'));
    }

    /** @param array<string, mixed> $answers */
    #[DataProvider('badAnswers')]
    public function testABadAnswerIsToldBesideItsQuestion(array $answers, string $path, string $words): void
    {
        $answer = $this->inquire($answers)->ok(422);
        self::assertArrayHasKey($path, $answer->violations());
        self::assertStringContainsString($words, $answer->violations()[$path]);
        self::assertSame(0, $this->countRows('submission'));
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function badAnswers(): iterable
    {
        yield 'no name' => [['name' => ''], 'name', 'Tell us your name'];
        yield 'a name of signs' => [['name' => '---'], 'name', 'letters'];
        yield 'an impossible day' => [['wanted_by' => '31/02/2027'], 'wanted_by', 'no such day'];
        yield 'a day gone by' => [['wanted_by' => '2020-01-01'], 'wanted_by', 'has passed'];
        yield 'an email without a domain' => [['email' => 'orla@'], 'email', 'after the @'];
        yield 'an email without an ending' => [['email' => 'orla@example'], 'email', 'ending'];
        yield 'a phone with letters' => [['phone' => '020 CALL ME'], 'phone', 'figures'];
        yield 'a phone too short' => [['phone' => '12'], 'phone', 'too short'];
        yield 'ten thousand characters' => [['matter' => str_repeat('x', 10_000)], 'matter', 'Shorten this to 4,000 characters. It has 10,000 now.'];
        yield 'a service that is not offered' => [['service' => 'magic'], 'service', 'offered'];
        yield 'a question that does not exist' => [['salary' => '100'], 'salary', 'does not ask'];
        yield 'a list where text is asked' => [['name' => ['a', 'b']], 'name', 'text'];
        yield 'a number where text is asked' => [['name' => 7], 'name', 'text'];
        yield 'text where files are asked' => [['photos' => 'front.jpg'], 'photos', 'upload ids'];
        yield 'an upload that is not there' => [['photos' => ['0123456789abcdef0123456789abcdef']], 'photos', 'no longer here'];
    }

    public function testAllThatIsWrongIsToldAtOnce(): void
    {
        $violations = $this->inquire(['name' => '', 'email' => 'x', 'phone' => 'abc'])->ok(422)->violations();
        self::assertSame(['name', 'email', 'phone'], array_keys($violations));
    }

    public function testBytesThatAreNoTextAreRefused(): void
    {
        $body = '{"answers":{"name":"'."\xff\xfe".'","email":"a@example.com","service":"repair"}}';
        $this->send('POST', '/api/public/forms/piano-inquiry/submissions', ['HTTP_ORIGIN' => 'http://localhost', 'CONTENT_TYPE' => 'application/json'], $body)->ok(400);
    }

    public function testBrokenJsonIsAProblem(): void
    {
        $this->send('POST', '/api/public/forms/piano-inquiry/submissions', ['HTTP_ORIGIN' => 'http://localhost', 'CONTENT_TYPE' => 'application/json'], '{"answers":{')->ok(400);
        $this->send('POST', '/api/public/forms/piano-inquiry/submissions', ['HTTP_ORIGIN' => 'http://localhost', 'CONTENT_TYPE' => 'application/json'], '[]')->ok(422);
        $this->send('POST', '/api/public/forms/piano-inquiry/submissions', ['HTTP_ORIGIN' => 'http://localhost', 'CONTENT_TYPE' => 'application/json'], '"text"')->ok(400);
    }

    public function testAnUnknownFormIsNotFound(): void
    {
        $this->post('/api/public/forms/no-such-form/submissions', ['answers' => new \stdClass()])->ok(404);
        $this->get('/api/public/forms/no-such-form')->ok(404);
    }

    public function testWhatLooksMachineMadeIsSetAsideAndCanBePutBack(): void
    {
        $answers = ['name' => 'Orla', 'email' => 'o@example.com', 'service' => 'repair'];
        foreach ([['unseen' => 'https://spam.example'], ['seconds' => 1]] as $sign) {
            $this->post('/api/public/forms/piano-inquiry/submissions', ['answers' => $answers] + $sign)->ok(201);
        }
        $this->post('/api/public/forms/piano-inquiry/submissions', ['answers' => $answers, 'seconds' => 40, 'unseen' => ''])->ok(201);
        $this->signIn();
        self::assertCount(1, $this->get('/api/submissions')->ok()->rows('items'));
        $aside = $this->get('/api/submissions?state=set-aside')->ok();
        self::assertCount(2, $aside->rows('items'));
        self::assertStringContainsString('machine-made', $aside->text('items.0.aside.note'));
        $this->post('/api/submissions/'.$aside->text('items.0.id').'/undo')->ok();
        self::assertCount(2, $this->get('/api/submissions')->ok()->rows('items'));
    }

    public function testTheSameKeyTwiceIsOneSubmission(): void
    {
        $first = $this->inquire([], 'one-sending')->ok(201);
        $again = $this->inquire(['matter' => 'Sent again.'], 'one-sending')->ok(201);
        self::assertSame($first->body, $again->body);
        self::assertSame(1, $this->countRows('submission'));
        self::assertSame('A-0002', $this->inquire([], 'another')->ok(201)->text('reference'));
    }

    public function testWithoutAKeyTwiceIsTwo(): void
    {
        $this->inquire()->ok(201);
        $this->inquire()->ok(201);
        self::assertSame(2, $this->countRows('submission'));
    }

    public function testTooManyFromOneAddressAreHeldBack(): void
    {
        $_ENV['TELAMON_SUBMISSIONS_PER_HOUR'] = $_SERVER['TELAMON_SUBMISSIONS_PER_HOUR'] = '2';
        try {
            $this->inquire()->ok(201);
            $this->inquire()->ok(201);
            $this->inquire()->ok(429);
            self::assertSame(2, $this->countRows('submission'));
        } finally {
            $_ENV['TELAMON_SUBMISSIONS_PER_HOUR'] = $_SERVER['TELAMON_SUBMISSIONS_PER_HOUR'] = '600';
        }
    }

    public function testThePublishedDefinitionTellsNoDestination(): void
    {
        $form = $this->get('/api/public/forms/piano-inquiry')->ok();
        self::assertStringNotContainsString('destination', $form->body);
        self::assertSame(range(1, 9), [...$form->column('pages.0.questions', 'number'), ...$form->column('pages.1.questions', 'number')]);
        self::assertSame('+353 20 917 2204', $form->text('business.phoneText'));
    }

    public function testThePromiseCountsOpeningHours(): void
    {
        // Friday 17:30: half an hour is left that day, the rest of the two hours falls on Monday.
        $this->clock->modify('2026-11-27 17:30:00 Europe/Dublin');
        $this->inquire()->ok(201);
        $this->signIn();
        self::assertSame('2026-11-30T09:30:00+00:00', $this->get('/api/submissions')->ok()->text('items.0.clock.dueAt'));
    }
}
