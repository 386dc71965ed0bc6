<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

use Telamon\Core\Condition\Condition;

/** One way in which a form may end. */
final readonly class Ending
{
    /**
     * @param string $text the text with merge fields, the https address, or the ending of the other form's address
     * @param Condition|null $when null for always
     */
    public function __construct(public EndingKind $kind, public string $text, public ?Condition $when)
    {
    }
}
