<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Changeable;
use Telamon\Core\Plan\Essential;
use Telamon\Core\Plan\LineField;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** Puts a client on file. */
final readonly class MakeClient implements Changeable, Essential
{
    /**
     * @param string $phone E.164
     */
    public function __construct(
        public string $given,
        public string $family,
        public string $email,
        public string $phone,
        public string $address,
    ) {
    }

    public static function name(): string
    {
        return 'client.create';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        $name = trim("{$this->given} {$this->family}");
        $parts = [Part::words('New client: '), $from->part('given', '' === $name ? 'nobody named' : $name, 'family')];
        foreach (['email' => [', ', $this->email], 'phone' => [', ', $telling->phone($this->phone)], 'address' => [', at ', $this->address]] as $field => [$words, $shown]) {
            if ('' !== $shown) {
                array_push($parts, Part::words($words), $from->part($field, $shown));
            }
        }

        return $parts;
    }

    public function fields(): array
    {
        return [
            new LineField('given', 'Given name', 'text', $this->given),
            new LineField('family', 'Family name', 'text', $this->family),
            new LineField('email', 'Email', 'text', $this->email, 'email'),
            new LineField('phone', 'Phone', 'text', $this->phone, 'phone'),
            new LineField('address', 'Address', 'text', $this->address),
        ];
    }

    public function with(array $values): static
    {
        return new self(
            $values['given'] ?? $this->given,
            $values['family'] ?? $this->family,
            $values['email'] ?? $this->email,
            $values['phone'] ?? $this->phone,
            $values['address'] ?? $this->address,
        );
    }
}
