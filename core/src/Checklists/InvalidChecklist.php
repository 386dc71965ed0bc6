<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

use Telamon\Core\Text\Unanswerable;

/** Thrown for a checklist that cannot be kept; says where and why. */
final class InvalidChecklist extends Unanswerable
{
    /** @param string $path such as items.3.takes */
    public function __construct(public readonly string $path, string $message)
    {
        parent::__construct($message);
    }
}
