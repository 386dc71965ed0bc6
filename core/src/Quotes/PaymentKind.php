<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

enum PaymentKind
{
    case Deposit;
    case Instalment;
    /** What is left after the deposit, where nobody has said how it is paid. */
    case Rest;
}
