<?php

declare(strict_types=1);

namespace Telamon\Quotes;

/** Who a paper is between, as they are called when it leaves: it stays so on paper whatever they are called later. */
final readonly class Party
{
    /**
     * @param string $phone (E.164 where it could be read)
     * @param string $phoneText the same as it is read by people
     * @param string $region ISO 3166-1, two letters; empty where nobody says
     */
    public function __construct(
        public string $name,
        public string $address,
        public string $phone = '',
        public string $phoneText = '',
        public string $email = '',
        public string $vatNumber = '',
        public string $region = '',
    ) {
    }

    /** @return array<string, string> */
    public function toArray(): array
    {
        return [
            'name' => $this->name,
            'address' => $this->address,
            'phone' => $this->phone,
            'phoneText' => $this->phoneText,
            'email' => $this->email,
            'vatNumber' => $this->vatNumber,
            'region' => $this->region,
        ];
    }

    public static function of(mixed $said): self
    {
        $text = static fn (string $key): string => \is_array($said) && \is_string($said[$key] ?? null) ? $said[$key] : '';

        return new self($text('name'), $text('address'), $text('phone'), $text('phoneText'), $text('email'), $text('vatNumber'), $text('region'));
    }
}
