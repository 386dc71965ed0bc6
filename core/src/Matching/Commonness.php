<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

/** How often values stand in the records on file. */
interface Commonness
{
    /** How many clients are on file. */
    public function clients(): int;

    /** How many of them have a given name, folded. */
    public function given(string $name): int;

    /** How many of them have a family name, folded and in one word. */
    public function family(string $name): int;

    /** How many of them have a mail address in small letters, or a phone number in figures. */
    public function sharedBy(string $point): int;
}
