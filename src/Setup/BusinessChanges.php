<?php

declare(strict_types=1);

namespace Telamon\Setup;

use Telamon\Business\Profile;
use Telamon\Core\FollowUps\QuietDays;
use Telamon\Core\Reading\EmailReader;
use Telamon\Core\Reading\PhoneReader;
use Telamon\Core\Text\Contrast;
use Telamon\Core\Time\HoursInWords;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Changes what the business is called, how it is reached, what it counts in, and when it is open. */
final readonly class BusinessChanges
{
    /** The darkest ground that links stand on. */
    private const PAGE = '#F3EFE6';

    public function __construct(private SetupActs $acts, private Profile $business, private EmailReader $emails)
    {
    }

    /** @throws Refusal where something cannot be */
    public function business(Edit $edit, Staff $staff): void
    {
        $business = $this->business->business();
        [$region, $zone, $currency] = [self::region($edit) ?? $business->region, self::zone($edit) ?? $business->timeZone, self::currency($edit) ?? $business->currency];
        $email = $edit->text('email', 254);
        $phone = $edit->text('phone', 40);
        $vat = $edit->text('vatNumber', 20);
        $values = [
            self::filled($edit, 'name', 200, 'A business has a name.') ?? $business->name,
            null === $email ? $business->email : ($this->emails->read($email) ?? throw new InvalidInput('email', $this->emails->fault($email) ?? 'This is no mail address.')),
            null === $phone ? $business->phone : self::phone($phone, $region),
            $edit->text('address', 300) ?? $business->address,
            self::filled($edit, 'assetWord', 40, 'Say what you work on, such as piano, garden or client.') ?? $business->assetWord,
            null === $vat ? $business->vatNumber : self::vat($vat),
        ];
        $accent = self::accent($edit) ?? $business->accent;
        $this->acts->carryOut("changed {$this->of($edit)}", $staff, static function () use ($business, $values, $region, $zone, $currency, $accent): void {
            $business->become(...$values);
            $business->countIn($region, $zone, $currency);
            $business->colour($accent);
        });
    }

    /**
     * How messages are signed, when they leave and how replies are read.
     *
     * @throws Refusal
     */
    public function messages(Edit $edit, Staff $staff): void
    {
        $business = $this->business->business();
        $signature = $edit->text('signature', 1000) ?? $business->signature;
        [$from, $until] = [self::clock($edit, 'quietFrom') ?? $business->quietFrom, self::clock($edit, 'quietUntil') ?? $business->quietUntil];
        if (('' === $from) !== ('' === $until)) {
            throw new InvalidInput('' === $from ? 'quietFrom' : 'quietUntil', 'Quiet hours have a beginning and an end.');
        }
        $given = $edit->text('quietDays', 10);
        $days = null === $given ? $business->quietDays : QuietDays::tryFrom($given) ?? throw new InvalidInput('quietDays', 'Choose which days are quiet.');
        $threshold = self::whole($edit, 'replyThreshold', 50, 100) ?? $business->replyThreshold;
        $anHour = self::whole($edit, 'mailsAnHour', 0, 10_000) ?? $business->mailsAnHour;
        $server = $edit->text('mailServer', 120) ?? $business->mailServer;
        if ('' !== $server && 1 !== preg_match('/^[a-z0-9._-]+$/iD', $server)) {
            throw new InvalidInput('mailServer', 'Write the name that your mail server signs its checks with, like mx.example.com.');
        }
        $this->acts->carryOut('changed how messages leave and are read', $staff, static function () use ($business, $signature, $threshold, $from, $until, $days, $anHour, $server): void {
            $business->writeBy($signature, $threshold, $from, $until, $days, $anHour);
            $business->trustMailOf($server);
        });
    }

    private static function clock(Edit $edit, string $field): ?string
    {
        $given = $edit->text($field, 5);

        return null === $given || '' === $given || 1 === preg_match('/^([01][0-9]|2[0-3]):[0-5][0-9]$/', $given)
            ? $given
            : throw new InvalidInput($field, 'Write a time like 20:00.');
    }

    private static function whole(Edit $edit, string $field, int $least, int $most): ?int
    {
        $given = $edit->text($field, 6);
        if (null === $given) {
            return null;
        }

        return 1 === preg_match('/^\d{1,6}$/', $given) && (int) $given >= $least && (int) $given <= $most
            ? (int) $given
            : throw new InvalidInput($field, "Write a number from $least to $most.");
    }

    /**
     * @param mixed $hours as OpenDays in the contract
     *
     * @throws Refusal
     */
    public function hours(mixed $hours, Staff $staff): void
    {
        $read = HoursReader::read($hours);
        $words = HoursInWords::of($read);
        $this->acts->carryOut("open $words", $staff, function () use ($read, $words): void {
            $this->business->business()->keepHours($read, mb_substr($words, 0, 100));
        });
    }

    /** @throws Refusal */
    public function lists(Edit $edit, Staff $staff): void
    {
        $business = $this->business->business();
        [$sources, $reasons, $aside] = [
            $edit->texts('sources', 40, 60) ?? $business->sources,
            $edit->texts('lostReasons', 40, 100) ?? $business->lostReasons,
            $edit->texts('asideReasons', 20, 60) ?? $business->asideReasons,
        ];
        $this->acts->carryOut($sources !== $business->sources ? 'changed the sources' : 'changed the reasons', $staff, static function () use ($business, $sources, $reasons, $aside): void {
            $business->offer($sources, $reasons, $aside);
        });
    }

    /** What of it is changed, in words. */
    private function of(Edit $edit): string
    {
        $words = [
            'name' => 'the name of the business',
            'email' => 'the business’s mail address',
            'phone' => 'the business’s phone',
            'address' => 'the business’s address',
            'region' => 'the country',
            'timeZone' => 'the time zone',
            'currency' => 'the currency',
            'assetWord' => 'what the business works on',
            'vatNumber' => 'the VAT number',
            'accent' => 'the colour of the public pages',
        ];
        $changed = array_filter($words, static fn (string $field): bool => null !== $edit->text($field, 300), \ARRAY_FILTER_USE_KEY);

        return 1 === \count($changed) ? reset($changed) : 'the business';
    }

    private static function filled(Edit $edit, string $field, int $longest, string $else): ?string
    {
        $text = $edit->text($field, $longest);

        return '' === $text ? throw new InvalidInput($field, $else) : $text;
    }

    private static function region(Edit $edit): ?string
    {
        $region = $edit->text('region', 2);

        return null === $region || \Symfony\Component\Intl\Countries::exists(strtoupper($region))
            ? (null === $region ? null : strtoupper($region))
            : throw new InvalidInput('region', 'Choose a country.');
    }

    private static function zone(Edit $edit): ?string
    {
        $zone = $edit->text('timeZone', 60);

        return null === $zone || \in_array($zone, \DateTimeZone::listIdentifiers(), true)
            ? $zone
            : throw new InvalidInput('timeZone', 'Choose a time zone, such as Europe/Dublin.');
    }

    private static function currency(Edit $edit): ?string
    {
        $currency = $edit->text('currency', 3);
        if (null === $currency) {
            return null;
        }

        return \Symfony\Component\Intl\Currencies::exists(strtoupper($currency))
            ? strtoupper($currency)
            : throw new InvalidInput('currency', 'Write the three letters of a currency, such as EUR.');
    }

    /** @return string|null #RRGGBB that can be read on the public pages, or empty */
    private static function accent(Edit $edit): ?string
    {
        $text = $edit->text('accent', 7);
        if (null === $text || '' === $text) {
            return $text;
        }
        $colour = '#'.strtoupper(ltrim($text, '#'));
        if (1 !== preg_match('/^#[0-9A-F]{6}$/D', $colour)) {
            throw new InvalidInput('accent', 'Write the colour like #1E4D57.');
        }
        $ratio = Contrast::ratio($colour, self::PAGE);

        return $ratio >= Contrast::READABLE
            ? $colour
            : throw new InvalidInput(
                'accent',
                \sprintf(
                    'It is too light to read: %.1f to 1, and 4.5 to 1 is needed. The nearest that can be read is %s.',
                    floor($ratio * 10) / 10,
                    Contrast::darkened($colour, self::PAGE),
                ),
            );
    }

    /** @return string as E.164, or empty */
    private static function phone(string $text, string $region): string
    {
        $reader = new PhoneReader(static fn (): string => $region);

        return '' === $text ? '' : ($reader->read($text) ?? throw new InvalidInput('phone', $reader->fault($text) ?? 'This is no phone number.'));
    }

    private static function vat(string $text): string
    {
        $plain = strtoupper((string) preg_replace('/[\s.-]+/', '', $text));

        // Two letters of a country, then 2 to 13 letters, digits, + or *: Council Directive 2006/112/EC, article 215, and the structures that the Commission publishes. Some countries outside the Union have none: then it is kept as written.
        return '' === $plain || 1 === preg_match('/^[A-Z]{0,3}[0-9A-Z+*]{2,15}$/', $plain)
            ? $plain
            : throw new InvalidInput('vatNumber', 'Write it as it stands on your papers, such as IE1234567A.');
    }
}
