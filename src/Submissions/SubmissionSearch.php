<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Symfony\Component\DependencyInjection\Attribute\AsTaggedItem;
use Telamon\Search\Searched;
use Telamon\Staff\Permission;

/** Submissions are found by number, name and any answer that is a text. */
#[AsTaggedItem(priority: 60)]
final class SubmissionSearch implements Searched
{
    public static function kind(): string
    {
        return 'submission';
    }

    public static function words(): string
    {
        return 'Arrivals';
    }

    public static function select(): string
    {
        return <<<'SQL'
            SELECT s.id, s.name AS title, s.number || ', ' || REPLACE(s.state, '-', ' ') AS second,
                s.number || ' ' || COALESCE((SELECT GROUP_CONCAT(j.value, ' ') FROM json_each(s.answers) j WHERE j.type = 'text'), '') AS text, '/arrivals/' || s.id AS path
            FROM submission s WHERE 1 {which}
            SQL;
    }

    public static function id(): string
    {
        return 's.id';
    }

    public static function permission(): Permission
    {
        return Permission::Decide;
    }

    public static function concerned(object $written): ?string
    {
        return $written instanceof Submission ? $written->id : null;
    }
}
