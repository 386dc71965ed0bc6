<?php

declare(strict_types=1);

namespace Telamon\Core\Tasks;

/** Who does a task, by their part in the project. */
enum Doer: string
{
    case Coordinator = 'coordinator';
    case Lead = 'lead';
}
