<?php

declare(strict_types=1);

namespace Telamon\Effects;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Joins what the lines of a plan made one by one. */
#[AutoconfigureTag('telamon.last_touch')]
interface LastTouch
{
    public function finish(Making $made): void;
}
