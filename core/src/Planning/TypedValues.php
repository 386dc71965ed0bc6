<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\People\StaffMember;
use Telamon\Core\Plan\InvalidDecision;
use Telamon\Core\Plan\LineField;
use Telamon\Core\Reading\EmailReader;

/** Reads what somebody types in the place of a value of a plan. */
final readonly class TypedValues
{
    private const LONGEST = ['name' => 200, 'text' => 2000];

    public function __construct(private EmailReader $emails = new EmailReader())
    {
    }

    /**
     * @param string $path where it stands, for what is wrong with it
     *
     * @throws InvalidDecision when it cannot be
     */
    public function read(string $path, LineField $field, string $value, PlanContext $now): string
    {
        $value = trim($value);
        $phones = $now->desk->phones;

        return match ($field->reads) {
            'email' => $this->emails->read($value) ?? throw new InvalidDecision($path, $this->emails->fault($value) ?? 'This is no mail address.'),
            'phone' => null === $phones ? $value : $phones->read($value) ?? throw new InvalidDecision($path, $phones->fault($value) ?? 'This is no phone number.'),
            'staff' => self::staff($path, $value, $now)->id,
            'stage' => \in_array($value, $now->ruling->book->stages, true) ? $value : throw new InvalidDecision($path, 'Choose a stage that is there.'),
            'day' => self::day($path, $value),
            default => mb_substr($value, 0, self::LONGEST[$field->reads]),
        };
    }

    /** @throws InvalidDecision when nobody here has the id */
    public static function staff(string $path, string $id, PlanContext $now): StaffMember
    {
        return $now->staff($id) ?? throw new InvalidDecision($path, 'Choose somebody who is here.');
    }

    /**
     * @return string ISO 8601
     *
     * @throws InvalidDecision when there is no such day
     */
    public static function day(string $path, string $text): string
    {
        $day = \DateTimeImmutable::createFromFormat('!Y-m-d', $text, new \DateTimeZone('UTC'));

        return false !== $day && $day->format('Y-m-d') === $text ? $text : throw new InvalidDecision($path, 'Write the day like 2027-06-12.');
    }
}
