<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Symfony\Component\DependencyInjection\Attribute\AsTaggedItem;
use Telamon\Search\Searched;
use Telamon\Staff\Permission;

/** Messages are found by their subject and whom they are to. */
#[AsTaggedItem(priority: 10)]
final class MessageSearch implements Searched
{
    public static function kind(): string
    {
        return 'message';
    }

    public static function words(): string
    {
        return 'Messages';
    }

    public static function select(): string
    {
        return "SELECT m.id, m.subject AS title, m.to_name AS second, m.to_name || ' ' || m.to_address AS text, '/messages/' || m.id AS path FROM message m WHERE 1 {which}";
    }

    public static function id(): string
    {
        return 'm.id';
    }

    public static function permission(): Permission
    {
        return Permission::Message;
    }

    public static function concerned(object $written): ?string
    {
        return $written instanceof Message ? $written->id : null;
    }
}
