<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Doctrine\DBAL\Connection;
use Telamon\Queue\DueWork;

/**
 * Whatever lies in the folder mail-in of the data is taken in: a program that fetches mail puts it there. Each is claimed
 * by moving it, so that it is taken in once; what cannot be taken in stays where it was moved to and is tried again.
 */
final readonly class MailFolder implements DueWork
{
    private const MOST_AT_ONCE = 1000;
    /** Seconds for which a file must rest: it may still be written. */
    private const RESTS = 5;

    public function __construct(private MailIn $in, private Connection $db, private string $dataFolder)
    {
    }

    public function name(): string
    {
        return 'mail-in';
    }

    public function words(): string
    {
        return 'Letters are taken in from the folder mail-in';
    }

    public function every(): int
    {
        return 5;
    }

    /** @return list<string> names of files; one that was claimed before, by whoever died over it, too */
    public function due(): array
    {
        $names = array_map(basename(...), glob("{$this->folder('taking')}/*.eml") ?: []);
        foreach (glob("{$this->folder()}/*.eml") ?: [] as $file) {
            // How long it rests is a matter of the disk's clock, not of the business's.
            if (time() - (int) @filemtime($file) >= self::RESTS || (int) @filemtime($file) > time() + self::RESTS) {
                $names[] = basename($file);
            }
        }

        return \array_slice(array_values(array_unique($names)), 0, self::MOST_AT_ONCE);
    }

    public function carryOut(string $key): void
    {
        $name = basename($key);
        $claimed = "{$this->folder('taking')}/$name";
        // Another of the same name waits until the first is in.
        if (!is_file($claimed) && !@rename("{$this->folder()}/$name", $claimed)) {
            return;
        }
        $eml = @file_get_contents($claimed);
        if (false === $eml) {
            return;
        }
        $this->in->take($eml);
        rename($claimed, $this->free($this->folder('taken'), $name));
    }

    /** How many could not be read, or not be taken in so far. */
    public function notRead(): int
    {
        $tried = $this->db->fetchOne("SELECT COUNT(*) FROM due_trouble WHERE work = ? AND record <> ''", [$this->name()]);

        return \count(glob("{$this->folder()}/not-read/*.eml") ?: []) + (is_numeric($tried) ? (int) $tried : 0);
    }

    private function folder(string $in = ''): string
    {
        $folder = rtrim("{$this->dataFolder}/mail-in/$in", '/');
        if ('' !== $in && !is_dir($folder)) {
            @mkdir($folder, 0o700, true);
        }

        return $folder;
    }

    /** A letter of the same name that was taken before is not written over. */
    private function free(string $folder, string $name): string
    {
        $path = "$folder/$name";
        for ($n = 2; is_file($path); ++$n) {
            $path = "$folder/$n-$name";
        }

        return $path;
    }
}
