<?php

declare(strict_types=1);

namespace Telamon\Core\Plan;

/** Where a line's reason comes from: what there can be looked at, and changed. */
final readonly class Leads
{
    private function __construct(public string $kind, public string $id)
    {
    }

    public static function rule(string $id): self
    {
        return new self('rule', $id);
    }

    /** @param string $key of the service */
    public static function service(string $key): self
    {
        return new self('service', $key);
    }

    /** @param string $key of the checklist */
    public static function checklist(string $key): self
    {
        return new self('checklist', $key);
    }

    /** @param string $key of the text of a mail */
    public static function text(string $key): self
    {
        return new self('text', $key);
    }

    /** @return array{kind: string, id: string} */
    public function toArray(): array
    {
        return ['kind' => $this->kind, 'id' => $this->id];
    }
}
