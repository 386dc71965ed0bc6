<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

/** What conditions of rules may ask about beside the answers. */
interface Askable
{
    /** Whether something of that name can be asked about, also where it is not there any more. */
    public function canAsk(string $name): bool;

    /** @return iterable<Asked> what is offered */
    public function asked(): iterable;
}
