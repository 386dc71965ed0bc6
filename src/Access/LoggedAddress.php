<?php

declare(strict_types=1);

namespace Telamon\Access;

use Symfony\Component\HttpFoundation\IpUtils;
use Symfony\Component\HttpFoundation\Request;
use Telamon\Business\Profile;

/** A network address as logs may hold it: shortened where Setup says so. */
final readonly class LoggedAddress
{
    public function __construct(private Profile $business)
    {
    }

    public function of(Request $request): string
    {
        $address = $request->getClientIp() ?? '';

        return '' !== $address && $this->business->business()->shortensAddresses ? IpUtils::anonymize($address) : $address;
    }
}
