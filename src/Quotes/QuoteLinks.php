<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Telamon\Http\SignedText;
use Telamon\Refusal\NotThere;

/** The signed address under which a client reads and answers a quote. */
final readonly class QuoteLinks
{
    private const PURPOSE = 'quote';
    private const DAY = 86_400;
    /** Days for which a quote is read beyond the last on which it can be accepted; signed, for as long as papers are asked for. */
    private const AFTER = 60;
    private const SIGNED = 400;

    public function __construct(
        private SignedText $signed,
        private EntityManagerInterface $em,
        private ClockInterface $clock,
        #[Autowire(env: 'TELAMON_URL')] private string $address,
    ) {
    }

    public function token(Quote $quote): string
    {
        $last = (new \DateTimeImmutable($quote->validUntil->format('Y-m-d'), new \DateTimeZone('UTC')))->getTimestamp() + self::AFTER * self::DAY;

        return $this->signed->sign(
            self::PURPOSE,
            $quote->id,
            QuoteState::Accepted === $quote->state ? self::SIGNED * self::DAY : max(self::DAY, $last - $this->clock->now()->getTimestamp()),
        );
    }

    /** @throws NotThere where it is none of ours, or nobody has sent it */
    public function quote(string $token): Quote
    {
        $quote = $this->em->find(Quote::class, $this->signed->read(self::PURPOSE, $token) ?? '');

        if (null === $quote || null === $quote->sentAt) {
            throw new NotThere('quote, or the link is over. Ring us instead');
        }

        return QuoteState::Replaced === $quote->state ? throw new QuoteGone() : $quote;
    }

    /** Empty while nobody has said under which address Telamon is reached. */
    public function address(Quote $quote): string
    {
        return '' === $this->address ? '' : rtrim($this->address, '/').'/quote/'.$this->token($quote);
    }

    public function staffAddress(Quote $quote): string
    {
        return '' === $this->address ? '' : rtrim($this->address, '/')."/quotes/{$quote->id}";
    }
}
