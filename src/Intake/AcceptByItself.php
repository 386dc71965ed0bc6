<?php

declare(strict_types=1);

namespace Telamon\Intake;

use Doctrine\DBAL\Connection;

/** Knows whether any handling rule would have plans accepted without anybody. */
final readonly class AcceptByItself
{
    public function __construct(private Connection $db)
    {
    }

    public function isWanted(): bool
    {
        return false !== $this->db->fetchOne("SELECT 1 FROM handling_rule WHERE enabled = 1 AND json_extract(definition, '$.acceptsByItself') = 1 LIMIT 1");
    }
}
