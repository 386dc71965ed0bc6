<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Symfony\Component\DependencyInjection\Attribute\AsTaggedItem;
use Telamon\Search\Searched;
use Telamon\Staff\Permission;

/** Assets are found by what they are, who made them, their number and their place. */
#[AsTaggedItem(priority: 30)]
final class AssetSearch implements Searched
{
    public static function kind(): string
    {
        return 'asset';
    }

    public static function words(): string
    {
        return '{asset}s';
    }

    public static function select(): string
    {
        return <<<'SQL'
            SELECT a.id, a.description AS title, TRIM(c.given_name || ' ' || c.family_name) AS second, a.make || ' ' || a.model || ' ' || a.serial_number || ' ' || a.place AS text, '/clients/' || c.id AS path
            FROM asset a JOIN client c ON c.id = a.client_id WHERE 1 {which}
            SQL;
    }

    public static function id(): string
    {
        return 'a.id';
    }

    public static function permission(): Permission
    {
        return Permission::Work;
    }

    public static function concerned(object $written): ?string
    {
        return $written instanceof Asset ? $written->id : null;
    }
}
