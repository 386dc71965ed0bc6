<?php

declare(strict_types=1);

namespace Telamon\Tests\Access;

use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Routing\RouterInterface;
use Telamon\Tests\Support\AppTestCase;

/** Every route is closed unless it is named here, and no state changes from another site. */
final class GuardsTest extends AppTestCase
{
    private const PUBLIC = [
        '/api/health',
        '/api/empty',
        '/api/session',
        '/api/public/forms/{slug}',
        '/api/public/forms/{slug}/challenge',
        '/api/public/forms/{slug}/personal',
        '/api/public/uploads',
        '/api/public/password-links',
        '/api/public/password',
        '/api/public/logo/{id}',
        '/api/public/forms/{slug}/submissions',
        '/f/{slug}',
        '/book/{slug}',
        '/visit/{token}',
        '/api/public/booking/{slug}',
        '/api/public/booking/{slug}/times',
        '/api/public/booking/{slug}/holds',
        '/api/public/booking/{slug}/holds/longer',
        '/api/public/booking/{slug}/bookings',
        '/api/public/booking/{slug}/waits',
        '/api/public/booking/{slug}/waits/leave',
        '/api/public/visits/{token}',
        '/api/public/visits/{token}/times',
        '/api/public/visits/{token}/calendar.ics',
        '/api/public/visits/{token}/move',
        '/api/public/visits/{token}/cancel',
        '/api/public/visits/{token}/yes',
        '/api/public/visits/{token}/wish',
        '/quote/{token}',
        '/agreement/{token}',
        '/api/public/agreements/{token}',
        '/api/public/agreements/{token}/opened',
        '/api/public/agreements/{token}/sign',
        '/api/public/agreements/{token}/decline',
        '/api/public/agreements/{token}/agreement.pdf',
        '/api/public/agreements/{token}/evidence.json',
        '/api/public/quotes/{token}/evidence.json',
        '/check',
        '/check/mail',
        '/api/public/quotes/{token}',
        '/api/public/quotes/{token}/opened',
        '/api/public/quotes/{token}/total',
        '/api/public/quotes/{token}/question',
        '/api/public/quotes/{token}/decline',
        '/api/public/quotes/{token}/accept',
        '/api/public/quotes/{token}/quote.pdf',
        '/api/public/quotes/{token}/files/{id}',
        '/api/public/calendars/{token}',
        '/stop/{link}',
        '/confirm/{link}',
        '/{path}',
    ];

    public function testEveryOtherRouteNeedsSomebodySignedIn(): void
    {
        $router = self::getContainer()->get(RouterInterface::class);
        self::assertInstanceOf(RouterInterface::class, $router);
        $tried = 0;
        foreach ($router->getRouteCollection() as $route) {
            if (\in_array($route->getPath(), self::PUBLIC, true)) {
                continue;
            }
            foreach ($route->getMethods() as $method) {
                $path = (string) preg_replace(['~\{list\}~', '~\{\w+\}~'], ['clients', '01a21054-d09d-73f3-84e4-dfab4b5f669b'], $route->getPath());
                $this->call($method, $path, 'GET' === $method ? null : [])->ok(401);
                ++$tried;
            }
        }
        self::assertGreaterThan(15, $tried);
    }

    public function testFieldStaffDoNotDecideOnSubmissions(): void
    {
        $this->inquire()->ok(201);
        $id = $this->lastSubmission();
        $this->signIn('pim@marrowby.example');
        $this->get('/api/submissions')->ok(403);
        $this->post("/api/submissions/$id/accept", ['fingerprint' => 'x'])->ok(403);
        $this->get('/api/messages')->ok(403);
        $this->get('/api/clients')->ok(200);
    }

    /** @param array<string, string> $headers */
    #[DataProvider('foreignHeaders')]
    public function testAStateChangeFromElsewhereIsRefused(array $headers): void
    {
        $this->signIn();
        $this->browser->request('POST', '/api/session', server: $headers + ['CONTENT_TYPE' => 'application/json'], content: '{}');
        self::assertSame(403, $this->browser->getResponse()->getStatusCode());
    }

    /** @return iterable<string, array{array<string, string>}> */
    public static function foreignHeaders(): iterable
    {
        yield 'no origin at all' => [[]];
        yield 'another origin' => [['HTTP_ORIGIN' => 'https://elsewhere.example']];
        yield 'another port' => [['HTTP_ORIGIN' => 'http://localhost:81']];
        yield 'no origin, another site' => [['HTTP_SEC_FETCH_SITE' => 'cross-site']];
        yield 'the word null' => [['HTTP_ORIGIN' => 'null']];
    }

    public function testWithoutOriginTheSameSiteIsEnough(): void
    {
        $this->send(
            'POST',
            '/api/session',
            ['HTTP_SEC_FETCH_SITE' => 'same-origin', 'CONTENT_TYPE' => 'application/json'],
            '{"email":"coordinator@marrowby.example","password":"telamon-demo"}',
        )
            ->ok(200);
    }

    public function testAFormOfAnotherSiteCannotPost(): void
    {
        $this->send('POST', '/api/session', ['HTTP_ORIGIN' => 'http://localhost', 'CONTENT_TYPE' => 'application/x-www-form-urlencoded'], 'email=coordinator@marrowby.example')
            ->ok(403);
        $this->send('POST', '/api/session', ['HTTP_ORIGIN' => 'http://localhost', 'CONTENT_TYPE' => 'text/plain'], '{}')->ok(403);
    }

    public function testALargeBodyIsRefusedBeforeItIsRead(): void
    {
        $this->send('POST', '/api/session', ['HTTP_ORIGIN' => 'http://localhost', 'CONTENT_TYPE' => 'application/json'], str_repeat(' ', 1_048_577))->ok(413);
    }

    public function testAnswersCarrySafeHeaders(): void
    {
        $answer = $this->get('/api/health')->ok();
        self::assertSame('nosniff', $answer->headers['x-content-type-options']);
        self::assertStringContainsString('no-store', $answer->headers['cache-control']);
        self::assertStringContainsString("default-src 'none'", $answer->headers['content-security-policy']);
    }

    public function testPagesAllowNoInlineScript(): void
    {
        $page = $this->get('/arrivals')->ok();
        $policy = $page->headers['content-security-policy'];
        self::assertStringContainsString("script-src 'self';", $policy);
        self::assertStringNotContainsString('unsafe', $policy);
        self::assertStringNotContainsString('<script>', $page->body);
    }

    public function testAPageThatIsNoneSaysSo(): void
    {
        $this->get('/no-such-screen')->ok(404);
        $this->get('/f/no-such-form')->ok(404);
        $this->get('/api/no-such-thing')->ok(404);
        $this->get('/api/empty')->ok(404);
        $this->call('PUT', '/api/clients', [])->ok(405);
    }
}
