<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Symfony\Component\DependencyInjection\Attribute\AsTaggedItem;
use Telamon\Search\Searched;
use Telamon\Staff\Permission;

/** Clients are found by name, organisation, addresses, numbers and the key of another system. */
#[AsTaggedItem(priority: 50)]
final class ClientSearch implements Searched
{
    public static function kind(): string
    {
        return 'client';
    }

    public static function words(): string
    {
        return 'Clients';
    }

    public static function select(): string
    {
        return <<<'SQL'
            SELECT c.id, TRIM(c.given_name || ' ' || c.family_name) AS title,
                COALESCE((SELECT p.value FROM contact_point p WHERE p.client_id = c.id AND p.kind = 'email' ORDER BY p.id LIMIT 1), c.address) AS second,
                c.organisation || ' ' || c.address || ' ' || c.external_id || ' ' || COALESCE((SELECT GROUP_CONCAT(p.value, ' ') FROM contact_point p WHERE p.client_id = c.id), '') AS text,
                '/clients/' || c.id AS path
            FROM client c WHERE c.merged_into_id IS NULL {which}
            SQL;
    }

    public static function id(): string
    {
        return 'c.id';
    }

    public static function permission(): Permission
    {
        return Permission::Work;
    }

    public static function concerned(object $written): ?string
    {
        return match (true) {
            $written instanceof Client => $written->id,
            $written instanceof ContactPoint => $written->client->id,
            default => null,
        };
    }
}
