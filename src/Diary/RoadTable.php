<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\DBAL\Connection;
use Telamon\Business\Profile;
use Telamon\Core\Booking\Roads;
use Telamon\Database\Remembers;

/** The table of roads, read once a request. */
final class RoadTable implements Remembers
{
    private ?Roads $roads = null;

    public function __construct(private readonly Connection $db, private readonly Profile $business)
    {
    }

    public function roads(): Roads
    {
        if (null === $this->roads) {
            $minutes = [];
            foreach ($this->db->fetchAllAssociative('SELECT "from", "to", minutes FROM road') as $row) {
                if (\is_string($row['from']) && \is_string($row['to']) && is_numeric($row['minutes'])) {
                    $minutes[$row['from']][$row['to']] = (int) $row['minutes'];
                }
            }
            $this->roads = new Roads($minutes, $this->business->business()->unknownRoad);
        }

        return $this->roads;
    }

    public function reset(): void
    {
        $this->roads = null;
    }
}
