<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Symfony\Component\DependencyInjection\Attribute\AsTaggedItem;
use Telamon\Search\Searched;
use Telamon\Staff\Permission;

/** Contacts are found by name, mail address, number and what they do. */
#[AsTaggedItem(priority: 40)]
final class ContactSearch implements Searched
{
    public static function kind(): string
    {
        return 'contact';
    }

    public static function words(): string
    {
        return 'Contacts';
    }

    public static function select(): string
    {
        return <<<'SQL'
            SELECT k.id, k.name AS title, TRIM(c.given_name || ' ' || c.family_name) AS second, k.email || ' ' || k.phone || ' ' || k.role AS text, '/clients/' || c.id AS path
            FROM contact k JOIN client c ON c.id = k.client_id WHERE 1 {which}
            SQL;
    }

    public static function id(): string
    {
        return 'k.id';
    }

    public static function permission(): Permission
    {
        return Permission::Work;
    }

    public static function concerned(object $written): ?string
    {
        return $written instanceof Contact ? $written->id : null;
    }
}
