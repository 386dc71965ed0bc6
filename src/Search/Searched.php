<?php

declare(strict_types=1);

namespace Telamon\Search;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Telamon\Staff\Permission;

/** What one kind of record is found by. The order in which kinds are shown is that of their priorities (AsTaggedItem). */
#[AutoconfigureTag('telamon.searched')]
interface Searched
{
    /** The kind of record, as the contract names it. */
    public static function kind(): string;

    /** What they are called together, where they are found; “{asset}s” where the business has its own word. */
    public static function words(): string;

    /**
     * A row a record: its id, what it is called (title), what stands beside that (second), what else it is found by
     * (text), and the address of its screen (path).
     *
     * @return string SQL, with “{which}” where a condition on the id of the record may stand: it is written as “…id = ?”, or as nothing
     */
    public static function select(): string;

    /** The column of the record's id in that SQL. */
    public static function id(): string;

    /** Who finds such records: within what they may read. */
    public static function permission(): Permission;

    /** The id of the record of this kind that is filed anew when a record is written; null for none. */
    public static function concerned(object $written): ?string;
}
