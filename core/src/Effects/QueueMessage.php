<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\People\StaffMember;
use Telamon\Core\Plan\Changeable;
use Telamon\Core\Plan\LineField;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Plan\Telling;

/** Sends a message. */
final readonly class QueueMessage implements Changeable
{
    /**
     * @param string $to mail address
     * @param string $why what it is about, for staff
     * @param string $says a digest of what it rests on; empty while that is not settled
     */
    private function __construct(
        public string $template,
        public string $to,
        public string $toName,
        public bool $toStaff,
        public string $why,
        public string $says = '',
    ) {
    }

    public static function toClient(string $template, string $to, string $name = ''): self
    {
        return new self($template, $to, $name, false, '');
    }

    /** @param string $why what it is about */
    public static function toStaff(string $template, StaffMember $to, string $why = ''): self
    {
        return new self($template, $to->email, $to->name, true, $why);
    }

    public static function name(): string
    {
        return 'message.queue';
    }

    public function sentence(Telling $telling, Sources $from): array
    {
        return [Part::words($this->toStaff ? "Tell {$this->toName} at " : "Send “{$telling->template($this->template)}” to "), $from->part('to', $this->to)];
    }

    public function fields(): array
    {
        return [
            new LineField('to', 'To', 'text', $this->to, 'email'),
        ];
    }

    public function with(array $values): static
    {
        return new self($this->template, $values['to'] ?? $this->to, $this->toName, $this->toStaff, $this->why, $this->says);
    }

    public function saying(string $says): self
    {
        return new self($this->template, $this->to, $this->toName, $this->toStaff, $this->why, $says);
    }
}
