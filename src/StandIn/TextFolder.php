<?php

declare(strict_types=1);

namespace Telamon\StandIn;

/** The stand-in of a gateway for text messages: texts as files in the data folder, each once, however often it is sent. */
final readonly class TextFolder
{
    public function __construct(private string $dataFolder)
    {
    }

    public function deliver(string $id, string $to, string $text): void
    {
        WholeFile::write($this->path($id), "To: $to\n\n$text\n");
    }

    public function has(string $id): bool
    {
        return is_file($this->path($id));
    }

    private function path(string $id): string
    {
        return 1 === preg_match('/^[0-9a-f-]{36}$/', $id) ? "{$this->dataFolder}/texts/$id.txt" : throw new \InvalidArgumentException('no message id');
    }
}
