<?php

declare(strict_types=1);

namespace Telamon\Record;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Telamon\Core\Rules\Askable;

/** A room says what rules may ask about its records. */
#[AutoconfigureTag('telamon.facts')]
interface DeclaresFacts extends Askable
{
}
