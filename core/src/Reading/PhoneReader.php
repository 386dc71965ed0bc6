<?php

declare(strict_types=1);

namespace Telamon\Core\Reading;

use libphonenumber\NumberParseException;
use libphonenumber\PhoneNumber;
use libphonenumber\PhoneNumberFormat;
use libphonenumber\PhoneNumberUtil;

/** Reads telephone numbers written for people into E.164, and back. */
final readonly class PhoneReader
{
    /**
     * @param string|\Closure(): string $region ISO 3166-1 code of the region that numbers without a country belong
     *                                          to, or what gives it once it is needed
     */
    public function __construct(private string|\Closure $region)
    {
    }

    /** @return string|null E.164, or null where the text is no possible number */
    public function read(string $text): ?string
    {
        $number = $this->parse($text);

        return null === $number ? null : PhoneNumberUtil::getInstance()->format($number, PhoneNumberFormat::E164);
    }

    /** What is wrong with the text as a telephone number, in words, or null. */
    public function fault(string $text): ?string
    {
        if (1 === preg_match('/[^\d\s().+\/\-]/u', $text)) {
            return 'Use figures, like 020 914 3327.';
        }

        return null === $this->parse($text) ? 'That is too short or too long for a phone number. Check the figures.' : null;
    }

    /** @param string $e164 a number as read() gives it */
    public function format(string $e164): string
    {
        $number = $this->parse($e164);

        return null === $number ? $e164 : PhoneNumberUtil::getInstance()->format($number, PhoneNumberFormat::INTERNATIONAL);
    }

    /*
     * Possible by length rather than valid by range: ranges set aside for fiction, and ranges newer
     * than the library, are real enough to call back.
     */
    private function parse(string $text): ?PhoneNumber
    {
        // Letters would be read as keypad figures; nobody means that on a form.
        if (1 === preg_match('/[^\d\s().+\/\-]/u', $text)) {
            return null;
        }
        try {
            $number = PhoneNumberUtil::getInstance()->parse($text, \is_string($this->region) ? $this->region : ($this->region)());
        } catch (NumberParseException) {
            return null;
        }

        return PhoneNumberUtil::getInstance()->isPossibleNumber($number) ? $number : null;
    }
}
