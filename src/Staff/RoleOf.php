<?php

declare(strict_types=1);

namespace Telamon\Staff;

/** What a role is called, and what those who have it may do. */
#[\Attribute(\Attribute::TARGET_CLASS_CONSTANT)]
final readonly class RoleOf
{
    /**
     * @param string $name in the middle of a sentence: “field staff”
     * @param string $says what they may do, for whoever chooses
     * @param string $approver whose approval a task needs: “the coordinator”
     * @param list<Permission>|null $may null for all there is
     */
    public function __construct(public string $name, public string $says, public string $approver, public ?array $may = null)
    {
    }
}
