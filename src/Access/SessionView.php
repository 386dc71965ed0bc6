<?php

declare(strict_types=1);

namespace Telamon\Access;

use Telamon\Business\Profile;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** Shows who is signed in, and the business, as Session in the contract. */
final readonly class SessionView
{
    public function __construct(private Profile $business)
    {
    }

    /** @return array<string, mixed> */
    public function show(Staff $staff): array
    {
        $business = $this->business->business();

        return [
            'user' => [
                'id' => $staff->id,
                'name' => $staff->name,
                'initials' => $staff->initials,
                'email' => $staff->email,
                'signature' => $staff->signature,
                'role' => $staff->role->value,
                'roleName' => $staff->role->entry()->name,
                'may' => array_map(static fn (Permission $one): string => $one->value, $staff->role->may()),
            ],
            'business' => [
                'name' => $business->name, 'timeZone' => $business->timeZone, 'currency' => $business->currency,
                'assetWord' => $business->assetWord, 'drawing' => $business->drawing, 'opens' => $business->opens(), 'closes' => $business->closes(),
            ],
        ];
    }
}
