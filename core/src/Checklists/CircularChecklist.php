<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** Items of a checklist wait for one another in a circle. */
final class CircularChecklist extends \DomainException
{
}
