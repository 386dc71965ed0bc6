<?php

declare(strict_types=1);

namespace Telamon\Core\Replies;

/** How a reply was read. */
final readonly class ReplyReading
{
    /**
     * @param float $confidence 0 to 1, two places
     * @param list<string> $because the words that it rests on, as folded
     * @param string $read what was read: without what was repeated and without the signature
     */
    public function __construct(public Meaning $says, public float $confidence, public array $because, public string $read)
    {
    }

    /** A machine decides nothing, whatever its words. */
    public static function ofAMachine(string $read): self
    {
        return new self(Meaning::Other, 0.97, ['a machine'], $read);
    }

    /** @param int $threshold per cent from which nobody needs to look */
    public function isSure(int $threshold): bool
    {
        return $this->confidence * 100 >= $threshold - 1e-9;
    }

    /** @return array{says: string, confidence: float, because: list<string>, read: string} */
    public function toArray(): array
    {
        return ['says' => $this->says->value, 'confidence' => $this->confidence, 'because' => $this->because, 'read' => $this->read];
    }
}
