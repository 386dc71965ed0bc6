<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** Sends the client a link to a form that does not ask again who they are. */
final readonly class SendForm implements Effect
{
    /** @param string $form ending of the form's address */
    public function __construct(public string $form)
    {
    }

    public static function name(): string
    {
        return 'form.send';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        return [Part::words('Send the client a link to the form '), Part::value("/f/{$this->form}")];
    }
}
