<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Reading;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Reading\PhoneZone;

final class PhoneZoneTest extends TestCase
{
    // Which zone a country keeps: the tz database (zone1970.tab). The numbers are set aside for fiction or lead nowhere.
    #[TestWith(['+442079460123', 'Europe/London'])]
    #[TestWith(['+493023125000', 'Europe/Berlin'])]
    #[TestWith(['+81312345678', 'Asia/Tokyo'])]
    // A country of many zones, an area of one.
    #[TestWith(['+12125550123', 'America/New_York'])]
    // A number that may be anywhere in a country of many zones, and what is none.
    #[TestWith(['+18005550123', null])]
    #[TestWith(['+353209143327', null])]
    #[TestWith(['nothing', null])]
    #[TestWith(['', null])]
    public function testANumberTellsAZoneWhereItHasOnlyOne(string $number, ?string $zone): void
    {
        self::assertSame($zone, PhoneZone::of($number)?->getName());
    }
}
