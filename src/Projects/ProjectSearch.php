<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Symfony\Component\DependencyInjection\Attribute\AsTaggedItem;
use Telamon\Search\Searched;
use Telamon\Staff\Permission;

/** Projects are found by number, title, client and notes. */
#[AsTaggedItem(priority: 20)]
final class ProjectSearch implements Searched
{
    public static function kind(): string
    {
        return 'project';
    }

    public static function words(): string
    {
        return 'Projects';
    }

    public static function select(): string
    {
        return <<<'SQL'
            SELECT p.id, p.number || ' ' || p.title AS title, TRIM(c.given_name || ' ' || c.family_name) AS second, TRIM(c.given_name || ' ' || c.family_name) || ' ' || p.notes AS text, '/projects/' || p.id AS path
            FROM project p JOIN client c ON c.id = p.client_id WHERE 1 {which}
            SQL;
    }

    public static function id(): string
    {
        return 'p.id';
    }

    public static function permission(): Permission
    {
        return Permission::Work;
    }

    public static function concerned(object $written): ?string
    {
        return $written instanceof Project ? $written->id : null;
    }
}
