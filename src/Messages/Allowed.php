<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\DBAL\Connection;
use Telamon\Clients\Client;

/** What clients allowed, for what advertises. */
final readonly class Allowed
{
    private const MOST = 100;

    public function __construct(private Connection $db)
    {
    }

    /**
     * Whether their last answer to it was yes.
     *
     * @param string $consent its name
     */
    public function by(?Client $client, string $consent): bool
    {
        if (null === $client) {
            return false;
        }
        $given = $this->db->fetchOne('SELECT given FROM client_consent WHERE client_id = ? AND LOWER(what) = LOWER(?) ORDER BY day DESC, id DESC LIMIT 1', [$client->id, $consent]);

        return is_numeric($given) && 1 === (int) $given;
    }

    /** @return list<string> names of all consents that anybody was asked for */
    public function names(): array
    {
        return array_values(array_filter($this->db->fetchFirstColumn('SELECT DISTINCT what FROM client_consent ORDER BY what LIMIT '.self::MOST), is_string(...)));
    }
}
