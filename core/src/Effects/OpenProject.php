<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Changeable;
use Telamon\Core\Plan\Essential;
use Telamon\Core\Plan\LineField;

/** Opens a project for the client. */
final readonly class OpenProject implements Changeable, Essential
{
    /**
     * @param string $lead id of staff
     * @param string $stage empty for the first there is
     * @param string $readyBy ISO 8601, or empty
     * @param string $service key of the service that it is for; empty for none
     */
    public function __construct(
        public string $title,
        public string $lead,
        public string $stage = '',
        public string $readyBy = '',
        public string $notes = '',
        public string $service = '',
    ) {
    }

    public static function name(): string
    {
        return 'project.open';
    }

    public function fields(): array
    {
        return [
            new LineField('title', 'Title', 'text', $this->title),
            new LineField('lead', 'Lead', 'staff', $this->lead, 'staff'),
            new LineField('stage', 'Stage', 'stage', $this->stage),
        ];
    }

    public function with(array $values): static
    {
        return new self($values['title'] ?? $this->title, $values['lead'] ?? $this->lead, $values['stage'] ?? $this->stage, $this->readyBy, $this->notes, $this->service);
    }
}
