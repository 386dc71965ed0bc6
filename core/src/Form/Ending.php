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
     * @param bool $sendsAway whether its thanks tell them that it is not for this business: nobody owes an answer then
     */
    public function __construct(public EndingKind $kind, public string $text, public ?Condition $when, public bool $sendsAway = false)
    {
    }
}
