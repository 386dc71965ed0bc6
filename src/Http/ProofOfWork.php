<?php

declare(strict_types=1);

namespace Telamon\Http;

use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * A small piece of work that a browser does before a form is sent: cheap once, dear a thousand times. The work
 * covers the key of the sending, so that it serves for that one and its repetitions only.
 */
final readonly class ProofOfWork
{
    private const PURPOSE = 'proof';
    private const SECONDS = 3600;

    /** @param int $bits zero bits that the hash begins with; 0 asks for no work */
    public function __construct(private SignedText $signed, #[Autowire(env: 'int:TELAMON_PROOF_BITS')] private int $bits)
    {
    }

    /** @return array{challenge: string, bits: int} */
    public function challenge(): array
    {
        return ['challenge' => $this->signed->sign(self::PURPOSE, bin2hex(random_bytes(12)), self::SECONDS), 'bits' => $this->bits];
    }

    /** @param mixed $proof as the contract has it */
    public function holds(mixed $proof, string $key): bool
    {
        if ($this->bits < 1) {
            return true;
        }
        $challenge = \is_array($proof) ? ($proof['challenge'] ?? null) : null;
        $nonce = \is_array($proof) ? ($proof['nonce'] ?? null) : null;
        if (!\is_string($challenge) || !\is_string($nonce) || \strlen($nonce) > 40 || '' === $key || null === $this->signed->read(self::PURPOSE, $challenge)) {
            return false;
        }

        return self::zeroBits(hash('sha256', "$challenge|$key|$nonce", true)) >= $this->bits;
    }

    /** How many zero bits a hash begins with. */
    public static function zeroBits(string $bytes): int
    {
        $bits = 0;
        foreach (str_split($bytes) as $byte) {
            $value = \ord($byte);
            if (0 !== $value) {
                return $bits + 7 - (int) floor(log($value, 2));
            }
            $bits += 8;
        }

        return $bits;
    }
}
