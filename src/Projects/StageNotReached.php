<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** A move to a stage that the project does not have everything for. */
final class StageNotReached extends Refusal
{
    /**
     * @param list<string> $missing in words
     * @param bool $mayGoOn whether whoever moves it may do so all the same, with a reason
     */
    public function __construct(private readonly string $stage, array $missing, bool $mayGoOn)
    {
        parent::__construct("$stage needs ".implode(' and ', $missing).($mayGoOn ? '. Go on all the same? Say why.' : '. An owner can go on with a reason.'));
    }

    public function nature(): Nature
    {
        return Nature::Invalid;
    }

    public function title(): string
    {
        return "Not ready for {$this->stage}";
    }

    public function violations(): array
    {
        return [['path' => 'reason', 'message' => $this->getMessage()]];
    }
}
