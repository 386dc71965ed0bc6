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
        $path = $this->path($id);
        if (!is_dir(\dirname($path)) && !@mkdir(\dirname($path), 0o700, true) && !is_dir(\dirname($path))) {
            throw new \RuntimeException('the folder for texts cannot be made');
        }
        $written = "To: $to\n\n$text\n";
        $handle = fopen("$path.new", 'w');
        // Written beside and renamed, so that a text is there whole or not at all.
        if (false === $handle || \strlen($written) !== fwrite($handle, $written) || !fflush($handle) || !fsync($handle) || !fclose($handle)) {
            throw new \RuntimeException('the text cannot be written');
        }
        rename("$path.new", $path);
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
