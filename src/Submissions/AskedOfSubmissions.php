<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Telamon\Core\Rules\Asked;
use Telamon\Record\DeclaresFacts;

/** What rules may ask about how a submission came. */
final readonly class AskedOfSubmissions implements DeclaresFacts
{
    public function canAsk(string $name): bool
    {
        return \in_array($name, ['@hours', '@channel', '@campaign', '@files', '@finished'], true);
    }

    public function asked(): iterable
    {
        yield Asked::oneOf('@hours', 'it came', ['inside' => 'inside opening hours', 'outside' => 'outside opening hours']);
        yield Asked::oneOf(
            '@channel',
            'it came from',
            ['page' => 'its page', 'embed' => 'another site', 'phone' => 'the phone', 'desk' => 'the desk', 'mail' => 'a mail', 'text' => 'a text message'],
        );
        yield Asked::text('@campaign', 'the campaign');
        yield Asked::number('@files', 'how many files');
        yield Asked::yesNo('@finished', 'it was finished');
    }
}
