<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

/** What a comparison comes to. */
enum Verdict: string
{
    /** One person: chosen by itself. */
    case Same = 'same';
    /** Perhaps one person: somebody decides. */
    case Perhaps = 'perhaps';
    /** Two people of one household or office. */
    case Household = 'household';
    case Different = 'different';
}
