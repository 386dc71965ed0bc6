<?php

declare(strict_types=1);

namespace Telamon\Tests\Http;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\HttpKernelInterface;
use Telamon\Http\OwnHosts;

/** 421 is Misdirected Request (RFC 9110, section 15.5.20): another name that leads here is not answered. */
final class OwnHostsTest extends TestCase
{
    #[DataProvider('requests')]
    public function testItAnswersUnderItsOwnNamesOnly(string $own, string $host, string $path, ?int $expected): void
    {
        $request = Request::create($path);
        $request->headers->set('Host', $host);
        $event = new RequestEvent(self::createStub(HttpKernelInterface::class), $request, HttpKernelInterface::MAIN_REQUEST);
        (new OwnHosts($own))($event);
        self::assertSame($expected, $event->getResponse()?->getStatusCode());
    }

    /** @return iterable<string, array{string, string, string, int|null}> */
    public static function requests(): iterable
    {
        yield 'its own' => ['127.0.0.1, Desk.example', 'desk.EXAMPLE:8080', '/arrivals', null];
        yield 'another' => ['127.0.0.1,desk.example', 'evil.example', '/arrivals', 421];
        yield 'one that ends alike' => ['desk.example', 'desk.example.evil.example', '/api/health', 421];
        yield 'no name at all' => ['desk.example', 'a b<', '/api/health', 421];
        yield 'any, where none is set' => ['', 'whatever.example', '/arrivals', null];
        yield 'a line break in the address' => ['', 'desk.example', '/api/clients%0d%0aX', 400];
        yield 'no text in the address' => ['', 'desk.example', '/api/clients/%ff%fe', 400];
    }
}
