<?php

declare(strict_types=1);

namespace Telamon\Staff;

/** A set of permissions under a name. An entry here is all that a role is; nothing else knows one but the owner. */
enum Role: string
{
    #[RoleOf('owner', 'everything, and who is an owner', 'an owner')]
    case Owner = 'owner';

    #[RoleOf('coordinator', 'everything but who is an owner', 'the coordinator')]
    case Coordinator = 'coordinator';

    #[RoleOf('field staff', 'their own work and its clients', 'field staff', [Permission::Work])]
    case Field = 'field';

    #[RoleOf('bookkeeper', 'quotes and prices, to read', 'the bookkeeper', [Permission::Work, Permission::SeeQuotes, Permission::SeePrices])]
    case Bookkeeper = 'bookkeeper';

    /** @return list<Permission> */
    public function may(): array
    {
        return $this->entry()->may ?? Permission::cases();
    }

    public function entry(): RoleOf
    {
        static $entries = [];

        return $entries[$this->value] ??= (new \ReflectionEnumBackedCase(self::class, $this->name))->getAttributes(RoleOf::class)[0]->newInstance();
    }

    /** @return list<array{value: string, label: string, says: string, approver: string}> as RoleOffer in the contract */
    public static function offered(): array
    {
        return array_map(
            static fn (self $role): array => ['value' => $role->value, 'label' => $role->entry()->name, 'says' => $role->entry()->says, 'approver' => $role->entry()->approver],
            self::cases(),
        );
    }
}
