<?php

declare(strict_types=1);

namespace Telamon\Access;

use Symfony\Component\HttpFoundation\Cookie;
use Symfony\Component\HttpFoundation\Request;
use Telamon\Http\SignedText;
use Telamon\Staff\Staff;

/** A device on which somebody has signed in before says so by a signed cookie: strangers who guess at their account do not lock it out there. */
final readonly class KnownDevice
{
    private const NAME = 'telamon_device';
    private const PURPOSE = 'device';
    private const SECONDS = 400 * 86_400;

    public function __construct(private SignedText $signed)
    {
    }

    public function cookie(Staff $staff, Request $request): Cookie
    {
        $text = $this->of($request, $staff->email) ?? self::account($staff->email).'-'.bin2hex(random_bytes(8));

        return Cookie::create(
            self::NAME,
            $this->signed->sign(self::PURPOSE, $text, self::SECONDS),
            time() + self::SECONDS,
            '/',
            null,
            $request->isSecure(),
            true,
            false,
            Cookie::SAMESITE_STRICT,
        );
    }

    /** @return string|null what the device is known by, where this account has signed in on it; null where it has not */
    public function of(Request $request, string $email): ?string
    {
        $text = $this->signed->read(self::PURPOSE, $request->cookies->getString(self::NAME));

        return null !== $text && str_starts_with($text, self::account($email).'-') ? $text : null;
    }

    private static function account(string $email): string
    {
        return substr(hash('sha256', mb_strtolower(trim($email))), 0, 32);
    }
}
