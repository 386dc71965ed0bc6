<?php

declare(strict_types=1);

namespace Telamon\Quotes;

/** What the last page of a signed paper tells: who signed, how and when, and of what the digest is. */
final readonly class EvidencePage
{
    /** @param array<array-key, mixed>|null $document what was signed; null where it was before there were records */
    public function __construct(private Signed $signed, private ?array $document)
    {
    }

    /** @return string the record that goes with the file; empty where there is none */
    public function record(): string
    {
        return $this->signed->evidence;
    }

    /**
     * @param string $total agreed; empty where there is none
     *
     * @return array<string, mixed> for the template
     */
    public function toArray(\DateTimeZone $zone, string $total = ''): array
    {
        $reached = \is_array($this->document['reached'] ?? null) ? $this->document['reached'] : [];
        $opened = \is_int($reached['opened'] ?? null) ? $reached['opened'] : 0;
        $at = $this->signed->at;

        return [
            'name' => $this->signed->name, 'drawing' => $this->signed->drawing,
            'at' => $at->setTimezone($zone)->format('l j F Y, H:i:s T').' ('.$at->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z').')',
            'address' => $this->signed->address, 'agent' => $this->signed->agent, 'email' => \is_string($reached['email'] ?? null) ? $reached['email'] : '',
            'opened' => match ($opened) {
                0 => '', 1 => 'once', default => "$opened times",
            }, 'total' => $total, 'digest' => str_split($this->signed->sha256, 16), 'record' => '' !== $this->signed->evidence,
        ];
    }
}
