<?php

declare(strict_types=1);

namespace Telamon\Core\Checklists;

/** Who does a task, by their part in the project. */
enum Doer: string
{
    case Coordinator = 'coordinator';
    case Lead = 'lead';
}
