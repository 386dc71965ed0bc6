<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Changeable;
use Telamon\Core\Plan\Essential;
use Telamon\Core\Plan\LineField;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

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

    public function sentence(Telling $telling, Sources $from): array
    {
        $parts = [Part::words('Open '), $from->part('title', $this->title), Part::words(' for '), $from->part('lead', $telling->staff($this->lead))];
        foreach ($from->each('notes', 'the note') as $i => $note) {
            array_push($parts, Part::words(0 === $i ? ', with ' : ' and '), $note);
        }

        return '' === $this->stage ? $parts : [...$parts, Part::words(', in the stage '), $from->part('stage', $this->stage)];
    }

    public function fields(): array
    {
        return [
            new LineField('title', 'Title', 'text', $this->title, 'name'),
            new LineField('lead', 'Lead', 'staff', $this->lead, 'staff'),
            new LineField('stage', 'Stage', 'stage', $this->stage, 'stage'),
            new LineField('readyBy', 'Ready by', 'day', $this->readyBy, 'day'),
        ];
    }

    public function with(array $values): static
    {
        return new self(
            $values['title'] ?? $this->title,
            $values['lead'] ?? $this->lead,
            $values['stage'] ?? $this->stage,
            $values['readyBy'] ?? $this->readyBy,
            $this->notes,
            $this->service,
        );
    }
}
