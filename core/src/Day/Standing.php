<?php

declare(strict_types=1);

namespace Telamon\Core\Day;

/** What is known of a day, in numbers. */
final readonly class Standing
{
    /**
     * @param list<int> $over working minutes by which promised answers are late, one for each
     * @param int $decide plans that wait for a decision
     * @param array<string, int> $late tasks that are late, by whose they are
     * @param list<string> $clashes of today and tomorrow, in words
     * @param int $unmarked visits that are over and neither held nor missed
     * @param int $wishes clients who ask to change a visit
     * @param int $failed mails that could not be sent
     * @param list<string> $stuck what Telamon itself could not do, in words
     * @param list<string> $unknown visits that are confirmed for somebody who is on no client, in words
     * @param list<string> $silenced addresses that are answered by themselves no more
     * @param list<int> $came how many came on each of the days before today, the last yesterday
     */
    public function __construct(
        public array $over = [],
        public int $decide = 0,
        public array $late = [],
        public array $clashes = [],
        public int $unmarked = 0,
        public int $wishes = 0,
        public int $failed = 0,
        public array $came = [],
        public array $stuck = [],
        public array $unknown = [],
        public array $silenced = [],
    ) {
    }
}
