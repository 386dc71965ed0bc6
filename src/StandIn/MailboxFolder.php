<?php

declare(strict_types=1);

namespace Telamon\StandIn;

use Symfony\Component\DependencyInjection\Attribute\AsAlias;

/** Keeps delivered messages as .eml files in the data folder. */
#[AsAlias(Mailbox::class)]
final readonly class MailboxFolder implements Mailbox
{
    public function __construct(private string $dataFolder)
    {
    }

    public function deliver(string $id, string $eml): void
    {
        WholeFile::write($this->path($id), $eml);
    }

    public function has(string $id): bool
    {
        return is_file($this->path($id));
    }

    public function read(string $id): ?string
    {
        return $this->has($id) ? (string) file_get_contents($this->path($id)) : null;
    }

    private function path(string $id): string
    {
        return 1 === preg_match('/^[0-9a-f-]{36}$/', $id) ? "{$this->dataFolder}/mail/$id.eml" : throw new \InvalidArgumentException('no message id');
    }
}
