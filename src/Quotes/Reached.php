<?php

declare(strict_types=1);

namespace Telamon\Quotes;

/** By what way somebody came to sign. */
final readonly class Reached
{
    /**
     * @param string $address of the network from which they came
     * @param string $program in its own words
     * @param string $email to which the link was sent
     * @param int $opened how often; 0 where nobody counts
     */
    public function __construct(public string $address, public string $program, public string $email = '', public int $opened = 0)
    {
    }

    public function by(string $email, int $opened = 0): self
    {
        return new self($this->address, $this->program, $email, $opened);
    }

    /** @return array<string, string|int> */
    public function toArray(): array
    {
        return [
            'address' => mb_substr(mb_scrub($this->address), 0, 45),
            'program' => mb_substr(mb_scrub($this->program), 0, 300),
            'email' => $this->email,
            'opened' => $this->opened,
        ];
    }
}
