<?php

declare(strict_types=1);

namespace Telamon\Messages;

/** What a channel carries, whoever hands it over. */
#[\Attribute(\Attribute::TARGET_CLASS_CONSTANT)]
final readonly class Carries
{
    /**
     * @param string $words as whoever writes chooses it: “a letter by mail”
     * @param bool $isLetter whether it has a subject, and headings, lists and links; or else plain words alone
     * @param bool $takesFiles whether files go with it
     * @param string $input how its address is asked for: email, tel or lines
     * @param string $act what sending by it is called
     */
    public function __construct(public string $words, public bool $isLetter, public bool $takesFiles, public string $input, public string $act = 'Send')
    {
    }
}
