<?php

declare(strict_types=1);

namespace Telamon\Core\Effects;

use Telamon\Core\Plan\Changeable;
use Telamon\Core\Plan\LineField;

/** Sends a message. */
final readonly class QueueMessage implements Changeable
{
    /**
     * @param string $to mail address
     * @param string $why what it is about, for staff
     * @param string $says a digest of what it rests on; empty while that is not settled
     */
    public function __construct(
        public string $template,
        public string $to,
        public string $toName = '',
        public string $why = '',
        public string $says = '',
    ) {
    }

    public static function name(): string
    {
        return 'message.queue';
    }

    public function fields(): array
    {
        return [
            new LineField('to', 'To', 'text', $this->to, 'email'),
        ];
    }

    public function with(array $values): static
    {
        return new self($this->template, $values['to'] ?? $this->to, $this->toName, $this->why, $this->says);
    }

    public function saying(string $says): self
    {
        return new self($this->template, $this->to, $this->toName, $this->why, $says);
    }
}
