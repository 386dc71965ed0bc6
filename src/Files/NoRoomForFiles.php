<?php

declare(strict_types=1);

namespace Telamon\Files;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** More files have come than are taken at once. */
final class NoRoomForFiles extends Refusal
{
    public function __construct()
    {
        parent::__construct('More files have come than are taken at once. Send the form without them, or try again later.');
    }

    public function nature(): Nature
    {
        return Nature::Unavailable;
    }

    public function title(): string
    {
        return 'No room for files at the moment';
    }
}
