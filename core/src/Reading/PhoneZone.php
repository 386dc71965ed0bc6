<?php

declare(strict_types=1);

namespace Telamon\Core\Reading;

use libphonenumber\NumberParseException;
use libphonenumber\PhoneNumberToTimeZonesMapper;
use libphonenumber\PhoneNumberUtil;

/** The time zone that a telephone number belongs to, where all of its numbers lie in one (libphonenumber's table of prefixes). */
final class PhoneZone
{
    /** @param string $e164 a number as PhoneReader gives it */
    public static function of(string $e164): ?\DateTimeZone
    {
        try {
            $zones = PhoneNumberToTimeZonesMapper::getInstance()->getTimeZonesForNumber(PhoneNumberUtil::getInstance()->parse($e164));
        } catch (NumberParseException) {
            return null;
        }
        if (1 !== \count($zones) || PhoneNumberToTimeZonesMapper::UNKNOWN_TIMEZONE === $zones[0]) {
            return null;
        }

        return \in_array($zones[0], \DateTimeZone::listIdentifiers(\DateTimeZone::ALL_WITH_BC), true) ? new \DateTimeZone($zones[0]) : null;
    }
}
