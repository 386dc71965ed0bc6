<?php

declare(strict_types=1);

namespace Telamon\Tests\Http;

use PHPUnit\Framework\AssertionFailedError;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Telamon\Tests\Support\Contract;

/** What holds every answer to the contract must itself be able to say no. */
final class ContractTest extends TestCase
{
    private const EMPTY_LIST = '{"items":[],"next":null,"open":0,"standIn":true,"notRead":0}';

    public function testWhatIsPromisedPasses(): void
    {
        $this->check('GET', '/api/replies', new JsonResponse(json: true, data: self::EMPTY_LIST));
        $this->check('GET', '/api/replies', new JsonResponse(['type' => 'about:blank', 'title' => 'No', 'status' => 404], 404, ['Content-Type' => 'application/problem+json']));
    }

    /** @return iterable<string, array{string, string, Response}> */
    public static function broken(): iterable
    {
        yield 'a field is missing' => ['GET', '/api/replies', new JsonResponse(['items' => []])];
        yield 'a field of another kind, behind a reference' => [
            'GET',
            '/api/replies',
            new JsonResponse(['items' => [['id' => 7]], 'next' => null, 'open' => 0, 'standIn' => true, 'notRead' => 0]),
        ];
        yield 'another kind of body' => ['GET', '/api/replies', new Response(self::EMPTY_LIST, 200, ['Content-Type' => 'text/html'])];
        yield 'a path that is not in it' => ['GET', '/api/nothing', new JsonResponse([])];
        yield 'a problem that is none' => ['GET', '/api/replies', new JsonResponse(['oh' => 'no'], 500, ['Content-Type' => 'application/problem+json'])];
    }

    #[DataProvider('broken')]
    public function testWhatIsNotPromisedFails(string $method, string $path, Response $response): void
    {
        $this->expectException(AssertionFailedError::class);
        $this->check($method, $path, $response);
    }

    private function check(string $method, string $path, Response $response): void
    {
        Contract::load()->check($method, $path, $response, (string) $response->getContent());
    }
}
