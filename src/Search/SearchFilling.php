<?php

declare(strict_types=1);

namespace Telamon\Search;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Telamon\Database\DatabaseUpdated;

/** Files every record that is there, where the index was made or emptied by an update. */
#[AsEventListener]
final readonly class SearchFilling
{
    public function __construct(private SearchRows $rows)
    {
    }

    public function __invoke(DatabaseUpdated $updated): void
    {
        if ($this->rows->isEmpty()) {
            $this->rows->fill();
        }
    }
}
