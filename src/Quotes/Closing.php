<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Psr\Clock\ClockInterface;
use Telamon\Core\Evidence\CanonicalJson;
use Telamon\Core\Evidence\EvidenceRecord;
use Telamon\Core\Evidence\SigningKey;
use Telamon\Refusal\InvalidInput;

/** Closes what somebody signs: everything that was agreed, who did it, when and how, in one record under the installation's key. */
final readonly class Closing
{
    public function __construct(private SigningKey $key, private ClockInterface $clock)
    {
    }

    /**
     * @param string $drawing PNG as a data address; empty where the name was typed
     *
     * @return string the name, trimmed
     *
     * @throws InvalidInput
     */
    public static function mayBe(string $name, string $drawing): string
    {
        $name = trim($name);
        if (mb_strlen($name) < 2) {
            throw new InvalidInput('name', 'Write your full name.');
        }
        if ('' !== $drawing && !Drawing::isSignature($drawing)) {
            throw new InvalidInput('drawing', 'Draw your signature, or clear it and type your name only. A dot is none.');
        }

        return $name;
    }

    /**
     * @param array<string, mixed> $facts what is agreed
     * @param string $ubl the same for machines; empty where there is none
     */
    public function close(string $record, array $facts, string $name, string $drawing, Reached $reached, string $ubl = ''): Signed
    {
        $now = $this->clock->now();
        $name = mb_substr(mb_scrub($name), 0, 200);
        $evidence = EvidenceRecord::close(
            $facts + [
                'signedBy' => $name,
                'how' => '' === $drawing ? 'typed' : 'drawn',
                'at' => $now->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z'),
                'reached' => $reached->toArray(),
            ],
            $drawing,
            $this->key,
        );
        $read = CanonicalJson::read($evidence);
        $document = CanonicalJson::write($read instanceof \stdClass ? $read->document : null);
        $by = $reached->toArray();

        return new Signed($record, $document, hash('sha256', $document), $name, $drawing, $now, (string) $by['address'], (string) $by['program'], $evidence, $ubl);
    }
}
