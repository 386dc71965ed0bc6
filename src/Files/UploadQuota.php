<?php

declare(strict_types=1);

namespace Telamon\Files;

use Doctrine\DBAL\Connection;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Telamon\Refusal\Refusal;

/** How much may lie here in all that came for forms which were not sent yet. */
final readonly class UploadQuota
{
    public function __construct(private Connection $db, #[Autowire(env: 'int:TELAMON_UNSENT_MEGABYTES')] private int $megabytes)
    {
    }

    /**
     * @param int $bytes that would come on top
     *
     * @throws Refusal
     */
    public function refuseOverfull(int $bytes): void
    {
        $held = $this->db->fetchOne('SELECT COALESCE(SUM(size), 0) FROM stored_file WHERE sha256 IN (SELECT file_id FROM upload)');
        if ((is_numeric($held) ? (int) $held : 0) + $bytes > $this->megabytes * 1_048_576) {
            throw new NoRoomForFiles();
        }
    }
}
