<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** All that can go with a message, whoever knows it. */
final readonly class Papers
{
    /** @param iterable<EnclosesPapers> $kinds */
    public function __construct(#[AutowireIterator('telamon.encloses_papers')] private iterable $kinds)
    {
    }

    /** @return array<string, string> what is made at sending: words by name */
    public function made(): array
    {
        $made = [];
        foreach ($this->kinds as $kind) {
            $made += $kind->makes();
        }

        return $made;
    }

    /** @return string|null what somebody calls it; null where there is none such */
    public function called(string $paper): ?string
    {
        foreach ($this->kinds as $kind) {
            $called = $kind->called($paper);
            if (null !== $called) {
                return $called;
            }
        }

        return null;
    }

    /** Whether it is there, and may go with a message to anybody. */
    public function isForAnybody(string $paper): bool
    {
        foreach ($this->kinds as $kind) {
            if ($kind->isForAnybody($paper)) {
                return true;
            }
        }

        return false;
    }

    /** @return array{name: string, type: string, bytes: string}|null null where nothing of it is there for this message */
    public function of(string $paper, Message $message): ?array
    {
        foreach ($this->kinds as $kind) {
            $found = $kind->paper($paper, $message);
            if (null !== $found) {
                return $found;
            }
        }

        return null;
    }

    /** @return list<string> words for what should go with it and is not there */
    public function missing(Message $message): array
    {
        $missing = [];
        foreach ($message->awaitsPaper() ? [] : $message->papers as $paper) {
            if (null === $this->of($paper, $message)) {
                $missing[] = $this->called($paper) ?? 'a file that was removed';
            }
        }

        return $missing;
    }
}
