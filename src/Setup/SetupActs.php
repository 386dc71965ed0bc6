<?php

declare(strict_types=1);

namespace Telamon\Setup;

use Telamon\Business\Profile;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Staff\Staff;

/** Every change of the settings: one act, journaled, taken back by one undo. */
final readonly class SetupActs
{
    public function __construct(private Changes $changes, private Profile $business)
    {
    }

    /**
     * @param \Closure(): void $do
     * @param string|null $about id of the setting, where it is not the business itself
     */
    public function carryOut(string $words, Staff $staff, \Closure $do, ?string $about = null): void
    {
        $business = $this->business->business();
        $this->changes->carryOut(Act::of(ChangeKind::Settings, $words, $staff)->on('business', $about ?? $business->id, $business->name), $do);
        // What was read of the settings before is old now.
        $this->business->reset();
    }

    /** Something that was done and that undo cannot reach: it stands in the journal by its words alone. */
    public function noting(string $words, Staff $staff, string $about): void
    {
        $this->changes->carryOut(Act::of(ChangeKind::Setup, $words, $staff)->on('business', $about, $this->business->business()->name), static fn (): null => null);
    }
}
