<?php

declare(strict_types=1);

namespace Telamon\Files;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** Somebody wants a paper away that was signed. */
final class SignedFile extends Refusal
{
    public function __construct()
    {
        parent::__construct('It was signed, or tells how. It stays as it is, where it is.');
    }

    public function nature(): Nature
    {
        return Nature::Conflict;
    }

    public function title(): string
    {
        return 'It is signed';
    }
}
