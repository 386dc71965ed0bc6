<?php

declare(strict_types=1);

namespace Telamon\Planning;

use Doctrine\DBAL\Connection;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Core\Form\Question;
use Telamon\Core\Planning\Amendments;
use Telamon\Core\Planning\Plan;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;
use Telamon\Submissions\DecidedAlready;
use Telamon\Submissions\Submission;
use Telamon\Submissions\SubmissionState;

/** Keeps what is decided on plans as it is decided, so that a colleague can go on. Acceptance journals what came of it. */
final readonly class Decisions
{
    private const MOST = 500;
    private const LONGEST = 4000;

    public function __construct(private Connection $db, private Profile $business, private ClockInterface $clock)
    {
    }

    public function of(string $submissionId): Decided
    {
        $row = $this->db->fetchAssociative(
            'SELECT d.version, d.data, d.at, s.name FROM plan_decision d JOIN staff s ON s.id = d.staff_id WHERE d.submission_id = ?',
            [$submissionId],
        );
        if (false === $row) {
            return new Decided();
        }
        $data = json_decode(\is_string($row['data']) ? $row['data'] : '{}', true);
        $at = new \DateTimeImmutable(\is_string($row['at']) ? $row['at'] : 'now', new \DateTimeZone('UTC'));

        return self::read(
            \is_array($data) ? $data : [],
            is_numeric($row['version']) ? (int) $row['version'] : 0,
            \is_string($row['name']) ? $row['name'] : '',
            $at->setTimezone($this->business->zone())->format(\DATE_RFC3339),
        );
    }

    /**
     * @param array<array-key, mixed> $body as the contract has it, with the version that was looked at
     *
     * @param \Closure(Submission): Plan $check throws where no plan can be made with it: nothing is kept then
     *
     * @return Plan made with it
     *
     * @throws Refusal when somebody else has decided something meanwhile, 422
     */
    public function keep(Submission $submission, array $body, Staff $staff, \Closure $check): Plan
    {
        if (SubmissionState::Waiting !== $submission->state) {
            throw new DecidedAlready('This submission has been decided meanwhile.');
        }
        $given = self::read($body, 0, '', '');
        $this->checkAnswers($submission, $given->answers);
        $data = json_encode(array_diff_key($given->toArray(), ['version' => 0, 'by' => 0, 'at' => 0]), \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
        $version = $body['version'] ?? null;
        $now = $this->clock->now()->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d H:i:s');

        return $this->db->transactional(function () use ($submission, $data, $staff, $now, $version, $check): Plan {
            // One statement each: whoever comes second finds another version, and is told.
            $done = 0 === $version
                ? $this->db->executeStatement(
                    'INSERT INTO plan_decision (submission_id, version, data, staff_id, at) VALUES (?, 1, ?, ?, ?) ON CONFLICT (submission_id) DO NOTHING',
                    [$submission->id, $data, $staff->id, $now],
                )
                : $this->db->executeStatement(
                    'UPDATE plan_decision SET version = version + 1, data = ?, staff_id = ?, at = ? WHERE submission_id = ? AND version = ?',
                    [$data, $staff->id, $now, $submission->id, \is_int($version) ? $version : -1],
                );
            if (0 === (int) $done) {
                $by = $this->of($submission->id)->by;
                throw new DecidedMeanwhile(('' === $by ? 'Somebody' : $by).' has changed this plan meanwhile. Look at it again; nothing was overwritten.');
            }

            $plan = $check($submission);
            // What the list says is open in it, without touching the version that others have seen.
            $open = \count($plan->open());
            $this->db->executeStatement('UPDATE submission SET to_decide = ? WHERE id = ? AND to_decide <> ?', [$open, $submission->id, $open]);

            return $plan;
        });
    }

    /** @param array<string, string> $answers */
    private function checkAnswers(Submission $submission, array $answers): void
    {
        $known = array_column($submission->formVersion->definition()->questions(), null, 'key');
        foreach ($answers as $key => $text) {
            $question = $known[$key] ?? null;
            if (!$question instanceof Question || null === $question->type->corrected($text)) {
                throw new InvalidInput("answers.$key", 'This answer cannot be put right here.');
            }
        }
    }

    /** @param array<array-key, mixed> $data */
    private static function read(array $data, int $version, string $by, string $at): Decided
    {
        $dropped = $data['dropped'] ?? [];
        $edits = [];
        foreach (\is_array($data['edits'] ?? null) ? $data['edits'] : [] as $line => $values) {
            $edits[(string) $line] = self::texts("edits.$line", $values);
        }
        $added = [];
        foreach (\is_array($data['added'] ?? null) ? array_values($data['added']) : [] as $i => $one) {
            if (!\is_array($one) || !\in_array($one['kind'] ?? null, Amendments::ADDED_KINDS, true)) {
                throw new InvalidInput("added.$i.kind", 'Add a task, a note, a tag, a notice or an owner.');
            }
            $added[] = ['kind' => $one['kind'], 'values' => self::texts("added.$i", $one['values'] ?? [])];
        }
        if (!\is_array($dropped) || \count($dropped) + \count($edits) + \count($added) > self::MOST) {
            throw new InvalidInput('dropped', 'Send at most '.self::MOST.' changes.');
        }

        return new Decided(
            $version,
            $by,
            $at,
            self::texts('choices', $data['choices'] ?? []),
            self::texts('answers', $data['answers'] ?? []),
            new Amendments(array_values(array_filter($dropped, \is_string(...))), $edits, $added),
        );
    }

    /** @return array<string, string> */
    private static function texts(string $path, mixed $data): array
    {
        $texts = [];
        foreach (\is_array($data) ? $data : throw new InvalidInput($path, 'Send this by its keys.') as $key => $value) {
            if (!\is_string($value) || mb_strlen($value) > self::LONGEST) {
                throw new InvalidInput("$path.$key", 'Write this as text, at most '.self::LONGEST.' characters.');
            }
            $texts[(string) $key] = $value;
        }

        return $texts;
    }
}
