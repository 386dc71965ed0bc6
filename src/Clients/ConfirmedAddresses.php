<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\DBAL\Connection;

/** Which mail addresses are known to belong to somebody on file: a person put them there, or has confirmed them. */
final readonly class ConfirmedAddresses
{
    public function __construct(private Connection $db)
    {
    }

    public function has(string $email): bool
    {
        return '' !== $email
            && false !== $this->db->fetchOne(
                "SELECT 1 FROM contact_point p JOIN client c ON c.id = p.client_id WHERE p.kind = 'email' AND LOWER(p.value) = ? AND p.confirmed = 1 AND c.merged_into_id IS NULL LIMIT 1",
                [mb_strtolower(trim($email))],
            );
    }

    /**
     * A name that may stand in a letter of ours to somebody who is not confirmed: letters and what stands between them in
     * names, a few words at the most. Whatever else somebody wrote where a name belongs is theirs, and is not sent on.
     */
    public static function plainName(string $name): string
    {
        $name = trim($name);

        return 1 === preg_match("/^[\\p{L}\\p{M}'’.-]{1,25}( [\\p{L}\\p{M}'’.-]{1,25}){0,3}$/u", $name)
            && 1 !== preg_match('/\.\p{L}{2,}\b|\b(www|http|com|net|org)\b/iu', $name)
            && mb_strtoupper($name) !== $name
            ? $name
            : '';
    }
}
