<?php

declare(strict_types=1);

namespace Telamon\Tests\Support;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Assert;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Yaml\Yaml;

/** api/openapi.yaml, as what every answer is held to. */
final class Contract
{
    private static ?self $one = null;

    private Validator $validator;

    /** @var array<string, object> by what they say */
    private array $schemas = [];

    /** @var array<string, string> named pattern by path template */
    private array $patterns = [];

    /** @param array<string, mixed> $document */
    private function __construct(private readonly array $document)
    {
        $this->validator = new Validator();
        $this->validator->setMaxErrors(5);
        foreach (array_keys(self::map($document['paths'])) as $path) {
            $this->patterns[$path] = '#^'.preg_replace('/\\\{\w+\\\}/', '[^/]+', preg_quote($path, '#')).'$#';
        }
    }

    public static function load(): self
    {
        if (null === self::$one) {
            $document = Yaml::parseFile(\dirname(__DIR__, 2).'/api/openapi.yaml');
            self::$one = new self(self::map($document));
        }

        return self::$one;
    }

    /** Fails the test unless the answer's status, kind and body are what the contract promises. */
    public function check(string $method, string $path, Response $response, string $body): void
    {
        $operation = $this->operation(strtolower($method), $path);
        if (null === $operation) {
            Assert::assertContains($response->getStatusCode(), [404, 405, 403, 413], "$method $path is not in the contract");
            $operation = ['responses' => ['default' => ['$ref' => '#/components/responses/Problem']]];
        }
        /** @var array<array-key, mixed> $responses */
        $responses = $operation['responses'];
        $promised = $responses[$response->getStatusCode()] ?? $responses['default'] ?? null;
        Assert::assertNotNull($promised, "$method $path answered {$response->getStatusCode()}, which the contract does not promise: $body");
        $promised = $this->resolve(self::map($promised));
        if (!isset($promised['content'])) {
            Assert::assertSame('', $body, "$method $path has no body in the contract");

            return;
        }
        $type = trim(explode(';', (string) $response->headers->get('Content-Type'))[0]);
        $content = self::map($promised['content']);
        if (isset($content['application/octet-stream'])) {
            return;
        }
        Assert::assertArrayHasKey($type, $content, "$method $path answered as $type: $body");
        if (str_ends_with($type, 'json')) {
            $this->checkJson("$method $path", self::map($content[$type])['schema'] ?? [], $body);
        }
    }

    private function checkJson(string $what, mixed $schema, string $body): void
    {
        $key = json_encode($schema, \JSON_THROW_ON_ERROR);
        // The validator knows a schema again by the object that it is.
        $this->schemas[$key] ??= self::object(['allOf' => [$schema], 'components' => $this->document['components']]);
        $result = $this->validator->validate(json_decode($body, false, 64, \JSON_THROW_ON_ERROR), $this->schemas[$key]);
        $error = $result->error();
        if (null !== $error) {
            Assert::fail("$what breaks the contract: ".json_encode((new ErrorFormatter())->format($error), \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES)."\n".substr($body, 0, 2000));
        }
        Assert::assertTrue($result->isValid());
    }

    /** @param array<string, mixed> $schema */
    private static function object(array $schema): object
    {
        $object = json_decode(json_encode($schema, \JSON_THROW_ON_ERROR), false, 64, \JSON_THROW_ON_ERROR);
        Assert::assertIsObject($object);

        return $object;
    }

    /** @return array<string, mixed>|null */
    private function operation(string $method, string $path): ?array
    {
        // A path without parameters is meant before one with (OpenAPI 3.1, Paths Object).
        foreach (isset($this->patterns[$path]) ? [$path => $this->patterns[$path]] : $this->patterns as $template => $pattern) {
            if (1 === preg_match($pattern, $path)) {
                $item = self::map(self::map($this->document['paths'])[$template]);

                return isset($item[$method]) ? self::map($item[$method]) : null;
            }
        }

        return null;
    }

    /**
     * @param array<string, mixed> $node
     *
     * @return array<string, mixed>
     */
    private function resolve(array $node): array
    {
        if (!\is_string($node['$ref'] ?? null)) {
            return $node;
        }
        $found = $this->document;
        foreach (\array_slice(explode('/', $node['$ref']), 1) as $part) {
            $found = self::map($found[$part]);
        }

        return $found;
    }

    /** @return array<string, mixed> */
    private static function map(mixed $value): array
    {
        Assert::assertIsArray($value);
        $map = [];
        foreach ($value as $key => $one) {
            $map[(string) $key] = $one;
        }

        return $map;
    }
}
