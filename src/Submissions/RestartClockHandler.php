<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Core\Effects\RestartClock;
use Telamon\Core\Form\Faults;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;

/**
 * Owes whoever wrote an answer again, by the working time that their form promises.
 *
 * @implements EffectHandler<RestartClock>
 */
final readonly class RestartClockHandler implements EffectHandler
{
    public function __construct(private EntityManagerInterface $em, private Profile $business)
    {
    }

    public static function of(): string
    {
        return RestartClock::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        $submission = null === $made->occasion ? null : $this->em->find(Submission::class, $made->occasion->id);
        if (null === $submission) {
            return [];
        }
        $submission->promiseAgain($this->business->workingTime()->add($made->now, min($submission->formVersion->promiseMinutes(), Faults::LONGEST_PROMISE)));

        return [$submission];
    }
}
