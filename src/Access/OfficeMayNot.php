<?php

declare(strict_types=1);

namespace Telamon\Access;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** Somebody of the business does on a client's own page what only the client does. */
final class OfficeMayNot extends Refusal
{
    public function __construct()
    {
        parent::__construct(
            'This is for the client alone. Where they sit beside you, open the link in a private window, or on a device where nobody of the business is signed in.',
        );
    }

    public function nature(): Nature
    {
        return Nature::NotAllowed;
    }

    public function title(): string
    {
        return 'You look at it as the office';
    }
}
