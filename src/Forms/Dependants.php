<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Telamon\Core\Form\FormDefinition;

/** What elsewhere builds on a form's questions, and is to be named before they change. */
#[AutoconfigureTag('telamon.forms.dependants')]
interface Dependants
{
    /** @return list<string> in words */
    public function of(string $slug, FormDefinition $drafted, ?FormDefinition $published): array;
}
