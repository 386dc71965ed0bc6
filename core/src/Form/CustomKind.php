<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** What a field holds that the business added to its clients, assets or projects. */
enum CustomKind: string
{
    case Text = 'text';
    case Number = 'number';
    case Day = 'day';
    case Choice = 'choice';
    case YesNo = 'yes-no';
}
