<?php

declare(strict_types=1);

namespace Telamon\Core\Reading;

/** An amount of money, or a plain number, as somebody wrote it. */
final readonly class Amount
{
    /**
     * @param string $value exact decimal with a point, as many places as were written: “1250.00”
     * @param string $upTo the other end of a span, in the same form; empty where there is one amount
     * @param string $currency ISO 4217 code; empty where none was named
     * @param bool $isAbout whether it was said to be rough, a bound or a span
     */
    public function __construct(public string $value, public string $upTo = '', public string $currency = '', public bool $isAbout = false)
    {
    }
}
