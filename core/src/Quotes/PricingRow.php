<?php

declare(strict_types=1);

namespace Telamon\Core\Quotes;

/** A row of the table by which answers become lines. */
final readonly class PricingRow
{
    /**
     * @param string $service key of the service that it is for; empty for any
     * @param string $question key of the answer that it waits for; empty where the service is enough
     * @param string $answer what has to be answered: a value, or a word in it; empty for any answer
     * @param string $code of the price list; empty for a line to price with the words of the answer
     * @param string $count key of the answer that says how many; empty for $quantity
     * @param string $quantity decimal as text
     * @param bool $optional whether the client may leave it out
     */
    public function __construct(
        public string $service,
        public string $question,
        public string $answer,
        public string $code,
        public string $count,
        public string $quantity,
        public bool $optional,
    ) {
    }
}
