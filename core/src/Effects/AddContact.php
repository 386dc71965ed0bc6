<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Changeable;
use Telamon\Core\Plan\LineField;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** Adds somebody to ask at the client’s. */
final readonly class AddContact implements Changeable
{
    /**
     * @param string $phone E.164
     */
    public function __construct(
        public string $name,
        public string $role = '',
        public string $email = '',
        public string $phone = '',
    ) {
    }

    public static function name(): string
    {
        return 'contact.add';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        $parts = [];
        foreach (['name' => $this->name, 'role' => $this->role, 'email' => $this->email, 'phone' => $telling->phone($this->phone)] as $name => $shown) {
            if ('' !== $shown) {
                array_push($parts, Part::words([] === $parts ? 'Add the contact ' : ', '), $from->part($name, $shown));
            }
        }

        return [] === $parts ? [Part::words('Add a contact')] : $parts;
    }

    public function fields(): array
    {
        return [
            new LineField('name', 'Name', 'text', $this->name),
            new LineField('role', 'Role', 'text', $this->role),
            new LineField('email', 'Email', 'text', $this->email, 'email'),
            new LineField('phone', 'Phone', 'text', $this->phone, 'phone'),
        ];
    }

    public function with(array $values): static
    {
        return new self($values['name'] ?? $this->name, $values['role'] ?? $this->role, $values['email'] ?? $this->email, $values['phone'] ?? $this->phone);
    }
}
