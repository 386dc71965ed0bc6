<?php

declare(strict_types=1);

namespace Telamon\Tests\Messages;

use Telamon\StandIn\Mailbox;

/**
 * A mailbox under which the process dies as soon as a message is in it, when a file in the data folder says
 * so: a worker killed between sending and acknowledging.
 */
final readonly class DiesAfterSending implements Mailbox
{
    public const SIGN = 'die-after-sending';

    public function __construct(private Mailbox $mailbox, private string $folder)
    {
    }

    public function deliver(string $id, string $eml): void
    {
        $this->mailbox->deliver($id, $eml);
        file_put_contents("{$this->folder}/deliveries", "$id\n", \FILE_APPEND);
        if (is_file("{$this->folder}/".self::SIGN)) {
            unlink("{$this->folder}/".self::SIGN);
            posix_kill(posix_getpid(), \SIGKILL);
        }
    }

    public function has(string $id): bool
    {
        return $this->mailbox->has($id);
    }

    public function read(string $id): ?string
    {
        return $this->mailbox->read($id);
    }
}
