<?php

declare(strict_types=1);

namespace Telamon\Record;

/** A record of which somebody has been told by mail: where the mail of a change has left, the change of the record stays too. */
interface StandsWithMail extends Journaled
{
}
