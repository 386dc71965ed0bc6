<?php

declare(strict_types=1);

namespace Telamon\Business;

/** What public pages show of the business, as PublicFace in the contract. */
final readonly class PublicFace
{
    public function __construct(private Profile $profile)
    {
    }

    /** @return array{name: string, phone: string, phoneText: string, hours: string, address: string, drawing: string, accent: string, logo: string|null} */
    public function show(): array
    {
        $business = $this->profile->business();

        return [
            'name' => $business->name, 'phone' => $business->phone, 'phoneText' => $this->profile->phoneReader()->format($business->phone),
            'hours' => $business->hoursText, 'address' => $business->address, 'drawing' => $business->drawing,
            'accent' => $business->accent, 'logo' => null === $business->logoId ? null : "/api/public/logo/{$business->logoId}",
        ];
    }
}
