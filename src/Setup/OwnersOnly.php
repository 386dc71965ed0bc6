<?php

declare(strict_types=1);

namespace Telamon\Setup;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** Who is an owner is decided among owners. */
final class OwnersOnly extends Refusal
{
    public function __construct()
    {
        parent::__construct('Only an owner can change what an owner is called, signs in with or may do.');
    }

    public function nature(): Nature
    {
        return Nature::NotAllowed;
    }

    public function title(): string
    {
        return 'Not allowed';
    }
}
