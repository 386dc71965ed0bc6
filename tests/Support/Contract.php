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

    /** Where the validator finds the document: it is read once, and every schema is a place in it. */
    private const DOCUMENT = 'https://telamon.example/contract';

    private Validator $validator;

    /** @var array<string, string> named pattern by path template */
    private array $patterns = [];

    /** @param array<string, mixed> $document */
    private function __construct(private readonly array $document)
    {
        $this->validator = new Validator();
        $this->validator->setMaxErrors(5);
        $this->validator->resolver()?->registerRaw(self::object($document), self::DOCUMENT);
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
        $place = $this->operation(strtolower($method), $path);
        if (null === $place) {
            Assert::assertContains($response->getStatusCode(), [404, 405, 403, 413], "$method $path is not in the contract");
            $place = ['components', 'responses', 'Problem'];
        } else {
            $promised = self::map($this->at([...$place, 'responses']));
            $status = \array_key_exists((string) $response->getStatusCode(), $promised) ? (string) $response->getStatusCode() : 'default';
            Assert::assertArrayHasKey($status, $promised, "$method $path answered {$response->getStatusCode()}, which the contract does not promise: $body");
            $place = $this->resolve([...$place, 'responses', $status]);
        }
        $promised = self::map($this->at($place));
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
        if (str_ends_with($type, 'json') && isset(self::map($content[$type])['schema'])) {
            $this->checkJson("$method $path", [...$place, 'content', $type, 'schema'], $body);
        }
    }

    /** @param list<string> $place of the schema in the document */
    private function checkJson(string $what, array $place, string $body): void
    {
        // A JSON pointer as the fragment of an address (RFC 6901, 3 and 6).
        $pointer = implode('', array_map(static fn (string $step): string => '/'.rawurlencode(str_replace(['~', '/'], ['~0', '~1'], $step)), $place));
        $result = $this->validator->validate(json_decode($body, false, 64, \JSON_THROW_ON_ERROR), self::DOCUMENT."#$pointer");
        $error = $result->error();
        if (null !== $error) {
            Assert::fail("$what breaks the contract: ".json_encode(
                (new ErrorFormatter())->format($error),
                \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES,
            )."\n".substr($body, 0, 2000));
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

    /** @return list<string>|null where the operation stands */
    private function operation(string $method, string $path): ?array
    {
        // A path without parameters is meant before one with (OpenAPI 3.1, Paths Object).
        foreach (isset($this->patterns[$path]) ? [$path => $this->patterns[$path]] : $this->patterns as $template => $pattern) {
            if (1 === preg_match($pattern, $path)) {
                return isset(self::map($this->at(['paths', $template]))[$method]) ? ['paths', $template, $method] : null;
            }
        }

        return null;
    }

    /**
     * @param list<string> $place
     *
     * @return list<string> where what stands there is really written
     */
    private function resolve(array $place): array
    {
        $reference = self::map($this->at($place))['$ref'] ?? null;

        return \is_string($reference) ? \array_slice(explode('/', $reference), 1) : $place;
    }

    /** @param list<string> $place */
    private function at(array $place): mixed
    {
        $found = $this->document;
        foreach ($place as $step) {
            $found = self::map($found)[$step];
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
