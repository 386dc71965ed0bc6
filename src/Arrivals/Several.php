<?php

declare(strict_types=1);

namespace Telamon\Arrivals;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Http\JsonBody;
use Telamon\Planning\Acceptor;
use Telamon\Planning\PlanMaker;
use Telamon\Record\RecordRef;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;
use Telamon\Submissions\Submission;
use Telamon\Submissions\SubmissionState;

/** One act on several submissions: each is a change of its own, and what cannot be done is said. */
final readonly class Several
{
    private const MOST = 50;

    public function __construct(private EntityManagerInterface $em, private PlanMaker $plans, private Acceptor $acceptor, private Handling $handling)
    {
    }

    /**
     * @param array<array-key, mixed> $body ids, act, and what the act needs
     *
     * @return array{changes: list<string>, kept: list<array{record: array{kind: string, id: string, label: string}, why: string}>} as SeveralDone in the contract
     *
     * @throws Refusal
     */
    public function do(array $body, Staff $staff): array
    {
        $ids = $body['ids'] ?? null;
        if (!\is_array($ids) || [] === $ids || \count($ids) > self::MOST || $ids !== array_filter($ids, \is_string(...))) {
            throw new InvalidInput('ids', 'Choose 1 to '.self::MOST.' submissions.');
        }
        $changes = [];
        $kept = [];
        $left = array_map(
            fn (string $id): Submission => $this->em->find(Submission::class, $id) ?? throw new InvalidInput('ids', 'One of them is there no more.'),
            array_values(array_unique($ids)),
        );
        foreach ($left as $submission) {
            // A transaction that failed leaves nothing to work with: the others are told, and can be tried again.
            $why = $this->em->isOpen() ? $this->hindrance($submission, $body) : 'not tried, as one before it failed';
            if (null !== $why) {
                $kept[] = ['record' => RecordRef::of($submission), 'why' => $why];
                continue;
            }
            try {
                $changes[] = $this->one($submission, $body, $staff);
            } catch (Refusal $refusal) {
                // A fault of what was asked shows at the first; later, what was done before must be told.
                if (Nature::Invalid === $refusal->nature() && [] === $changes) {
                    throw $refusal;
                }
                $kept[] = ['record' => RecordRef::of($submission), 'why' => $refusal->getMessage()];
            }
        }

        return ['changes' => $changes, 'kept' => $kept];
    }

    /** @param array<array-key, mixed> $body */
    private function hindrance(Submission $submission, array $body): ?string
    {
        $act = $body['act'] ?? null;
        if (\in_array($act, ['accept', 'set-aside', 'remind'], true) && SubmissionState::Waiting !== $submission->state) {
            return 'decided already';
        }

        return 'accept' === $act && [] !== $this->plans->plan($submission)->open() ? 'it needs a choice first' : null;
    }

    /**
     * @param array<array-key, mixed> $body
     *
     * @return string the id of the change
     */
    private function one(Submission $submission, array $body, Staff $staff): string
    {
        switch (JsonBody::text($body, 'act', 20)) {
            case 'accept':
                $change = $this->acceptor->accept($submission, $this->plans->plan($submission)->fingerprint, [], $staff)['change'];

                return \is_array($change) && \is_string($change['id'] ?? null) ? $change['id'] : '';
            case 'set-aside':
                $reason = JsonBody::text($body, 'reason', 40);
                if (!\in_array($reason, Acceptor::REASONS, true)) {
                    throw new InvalidInput('reason', 'Choose one of: '.implode(', ', Acceptor::REASONS).'.');
                }

                return $this->acceptor->setAside($submission, $reason, JsonBody::text($body, 'note'), $staff)->id;
            case 'assign':
                return $this->handling->assign($submission, JsonBody::text($body, 'assignee', 36), $staff)->id;
            case 'remind':
                return $this->handling->remind($submission, JsonBody::text($body, 'remindAt', 40), $staff)->id;
            case 'note':
                return $this->handling->note($submission, JsonBody::text($body, 'text', 2000), $staff)->id;
            default:
                throw new InvalidInput('act', 'Choose accept, set-aside, assign, remind or note.');
        }
    }
}
