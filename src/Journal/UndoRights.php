<?php

declare(strict_types=1);

namespace Telamon\Journal;

use Telamon\Record\Lasting;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;
use Telamon\Staff\WrittenWith;

/** Whether somebody may today write what an undo or a redo would write; and what neither of them ever sets back. */
final class UndoRights
{
    /**
     * @param list<JournalEntry> $entries that are to be set back
     *
     * @throws Refusal where one of them is beyond what they may
     */
    public function refuse(array $entries, ?Staff $staff): void
    {
        if (null === $staff) {
            return;
        }
        foreach ($entries as $entry) {
            foreach ($this->needed($entry) as $permission) {
                if (!$staff->may($permission)) {
                    throw new MayNotWrite($entry->recordLabel);
                }
            }
        }
    }

    /** @param class-string $class */
    public function isLasting(string $class, string $property): bool
    {
        $reflection = new \ReflectionClass($class);

        return $reflection->hasProperty($property) && [] !== $reflection->getProperty($property)->getAttributes(Lasting::class);
    }

    /** @return list<Permission> */
    private function needed(JournalEntry $entry): array
    {
        $reflection = new \ReflectionClass($entry->recordClass);
        $usual = self::of($reflection) ?? (is_a($entry->recordClass, PartOf::class, true) || 'business' === $entry->recordKind ? $this->ofSetting($reflection) : null);
        $needed = [];
        foreach ([...array_keys($entry->before), ...array_keys($entry->after)] as $name) {
            $needed[] = ($reflection->hasProperty($name) ? self::of($reflection->getProperty($name)) : null) ?? $usual;
        }
        $needed = [] === $needed ? [$usual] : $needed;

        return array_values(array_unique(array_filter($needed, static fn (?Permission $one): bool => null !== $one), \SORT_REGULAR));
    }

    /** @param \ReflectionClass<object> $reflection */
    private function ofSetting(\ReflectionClass $reflection): ?Permission
    {
        return \in_array(Setting::class, $reflection->getTraitNames(), true) ? Permission::SetUp : null;
    }

    /** @param \ReflectionClass<object>|\ReflectionProperty $of */
    private static function of(\ReflectionClass|\ReflectionProperty $of): ?Permission
    {
        $attribute = $of->getAttributes(WrittenWith::class)[0] ?? null;

        return $attribute?->newInstance()->permission;
    }
}
