<?php

declare(strict_types=1);

namespace Telamon\Tests\Support;

use PHPUnit\Framework\Assert;

/** What the application answered, with ways to look into it. */
final readonly class Answer
{
    /** @param array<string, string> $headers by name in small letters */
    public function __construct(public int $status, public string $body, public array $headers)
    {
    }

    public function ok(int $status = 200): self
    {
        Assert::assertSame($status, $this->status, $this->body);

        return $this;
    }

    /** The value at a path like “plan.lines.0.key”. */
    public function at(string $path): mixed
    {
        $value = json_decode($this->body, true, 64, \JSON_THROW_ON_ERROR);
        foreach (explode('.', $path) as $part) {
            Assert::assertIsArray($value, "$path in {$this->body}");
            Assert::assertArrayHasKey($part, $value, "$path in {$this->body}");
            $value = $value[$part];
        }

        return $value;
    }

    public function text(string $path): string
    {
        $value = $this->at($path);
        Assert::assertIsString($value, $path);

        return $value;
    }

    public function number(string $path): int
    {
        $value = $this->at($path);
        Assert::assertIsInt($value, $path);

        return $value;
    }

    /** @return list<array<string, mixed>> */
    public function rows(string $path): array
    {
        $value = $this->at($path);
        Assert::assertIsArray($value, $path);
        $rows = [];
        foreach ($value as $row) {
            Assert::assertIsArray($row, $path);
            /** @var array<string, mixed> $row */
            $rows[] = $row;
        }

        return $rows;
    }

    /** @return array<string, mixed> */
    public function map(string $path): array
    {
        $value = $this->at($path);
        Assert::assertIsArray($value, $path);
        /** @var array<string, mixed> $value */

        return $value;
    }

    /** @return list<mixed> one field of every row */
    public function column(string $path, string $field): array
    {
        return array_map(static fn (array $row): mixed => $row[$field] ?? null, $this->rows($path));
    }

    /** @return array<string, string> message by path, of a problem */
    public function violations(): array
    {
        $found = [];
        foreach ($this->rows('violations') as $row) {
            Assert::assertIsString($row['path']);
            Assert::assertIsString($row['message']);
            $found[$row['path']] = $row['message'];
        }

        return $found;
    }
}
