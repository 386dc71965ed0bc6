<?php

declare(strict_types=1);

namespace Telamon\Arrivals;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Refusal\InvalidInput;
use Telamon\Staff\Staff;
use Telamon\Submissions\AnsweredAlready;
use Telamon\Submissions\ArrivalNote;
use Telamon\Submissions\DecidedAlready;
use Telamon\Submissions\Submission;
use Telamon\Submissions\SubmissionState;

/** What is done with a submission beside deciding it: given to somebody, put off, noted, answered. All can be undone. */
final readonly class Handling
{
    private const LONGEST_NOTE = 2000;

    public function __construct(private EntityManagerInterface $em, private Changes $changes, private Profile $business, private ClockInterface $clock)
    {
    }

    /** @param string $staffId empty for nobody in particular */
    public function assign(Submission $submission, string $staffId, Staff $by): Change
    {
        $to = '' === $staffId ? null : ($this->em->find(Staff::class, $staffId) ?? throw new InvalidInput('assignee', 'Choose somebody who is here.'));

        return $this->carryOut($submission, null === $to ? "gave {$submission->name} to nobody in particular" : "gave {$submission->name} to {$to->name}", $by, static function (Submission $submission) use ($to): void {
            $submission->assignTo($to);
        });
    }

    /** @param string $at RFC 3339; empty to take it up again now */
    public function remind(Submission $submission, string $at, Staff $by): Change
    {
        $when = null;
        if ('' !== $at) {
            $when = \DateTimeImmutable::createFromFormat(\DATE_RFC3339, $at) ?: throw new InvalidInput('remindAt', 'Write the time like 2027-06-12T09:30:00+01:00.');
            if ($when <= $this->clock->now() || $when > $this->clock->now()->modify('+400 days')) {
                throw new InvalidInput('remindAt', 'Choose a time to come, within a year.');
            }
        }
        $words = null === $when ? "took {$submission->name} up again" : "put {$submission->name} off until ".$when->setTimezone($this->business->zone())->format('j M, H:i');

        return $this->carryOut($submission, $words, $by, static function (Submission $submission) use ($when): void {
            if (SubmissionState::Waiting !== $submission->state) {
                throw new DecidedAlready('What is decided cannot be put off.');
            }
            $submission->putOff($when);
        });
    }

    public function note(Submission $submission, string $text, Staff $by): Change
    {
        if ('' === trim($text) || mb_strlen($text) > self::LONGEST_NOTE) {
            throw new InvalidInput('text', 'Write a note of at most '.self::LONGEST_NOTE.' characters.');
        }

        return $this->carryOut($submission, "noted something beside {$submission->name}", $by, function (Submission $submission) use ($text, $by): void {
            $this->em->persist(new ArrivalNote($submission, $by, trim($text), $this->clock->now()));
        });
    }

    /** A person has answered, on whatever way: that stops the reply clock. The first answer counts. */
    public function answered(Submission $submission, Staff $by): Change
    {
        return $this->carryOut($submission, "answered {$submission->name}", $by, function (Submission $submission) use ($by): void {
            if (null !== $submission->answeredAt) {
                throw new AnsweredAlready(($submission->answeredBy->name ?? 'Somebody').' answered before.');
            }
            $submission->answer($by, $this->clock->now());
        });
    }

    /** @param \Closure(Submission): void $do */
    private function carryOut(Submission $submission, string $words, Staff $by, \Closure $do): Change
    {
        $change = $this->changes->change(Act::of(ChangeKind::Handle, $words, $by)->from($submission->id)->about($submission));
        $this->changes->carryOut($change, function () use ($submission, $do): void {
            $this->em->refresh($submission);
            $do($submission);
        });

        return $change;
    }
}
