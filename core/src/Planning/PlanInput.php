<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Form\CustomField;
use Telamon\Core\Matching\Candidate;
use Telamon\Core\Reading\Reading;
use Telamon\Core\Reading\Readings;
use Telamon\Core\Tasks\Checklist;
use Telamon\Core\Tasks\WorkingDays;

/** Everything that a plan is made from. The same input gives the same plan, byte for byte. */
final readonly class PlanInput
{
    /**
     * @param list<Candidate> $candidates clients on file that it may belong to, the likeliest first
     * @param array<string, ServiceFacts> $services by key
     * @param array<string, string> $alreadySent ISO 8601 day by message template: what this submission has led
     *                                           to before, when a plan was accepted and taken back
     * @param array<string, string> $templates subject by key of the message templates
     * @param array<string, CustomField> $customFields by name, “custom.client.size”
     * @param \DateTimeImmutable $today in the business's time zone
     */
    public function __construct(
        public Readings $readings,
        public array $candidates,
        public array $services,
        public StaffMember $coordinator,
        public Checklist $baseChecklist,
        public WorkingDays $calendar,
        public string $assetWord,
        public array $templates,
        public array $alreadySent,
        public \DateTimeImmutable $today,
        public array $customFields = [],
    ) {
    }

    /** The custom field that an answer goes to; null where there is none (any more), or where it cannot hold the answer. */
    public function customField(Reading $reading): ?CustomField
    {
        $record = $reading->question->destination?->customOf();
        $field = null === $record ? null : ($this->customFields["custom.$record.{$reading->question->customField}"] ?? null);

        return null !== $field && \in_array($reading->question->type, $field->kind->fits(), true) ? $field : null;
    }
}
