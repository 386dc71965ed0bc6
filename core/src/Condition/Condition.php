<?php

declare(strict_types=1);

namespace Telamon\Core\Condition;

/** Something that holds or does not, given answers. Pure: the same facts give the same result. */
interface Condition
{
    public function holds(Facts $facts): bool;

    /** @return list<string> keys of the questions asked about */
    public function questions(): array;

    /** @return list<Test> everything that is asked, through all groups */
    public function tests(): array;
}
