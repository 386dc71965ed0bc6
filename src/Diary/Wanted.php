<?php

declare(strict_types=1);

namespace Telamon\Diary;

/** What a free time is looked for. */
final readonly class Wanted
{
    /**
     * @param int $length minutes
     * @param string $address where it would be held; empty where nobody goes anywhere, or nobody knows yet
     * @param string $with id of the member of staff who is asked for; empty for anybody
     * @param string $but id of the appointment that is being moved: it is in nobody's way
     * @param string $begunBy whose held time is in nobody's way
     * @param int|null $notice minutes, in the place of the type's; null for the type's
     */
    public function __construct(
        public VisitType $type,
        public int $length,
        public string $address = '',
        public string $with = '',
        public string $but = '',
        public string $begunBy = '',
        public ?int $notice = null,
    ) {
    }
}
