<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Telamon\Http\SignedText;
use Telamon\Refusal\NotThere;

/** The signed address under which a client reads and answers a quote. */
final readonly class QuoteLinks
{
    private const PURPOSE = 'quote';
    private const DAY = 86_400;

    public function __construct(private SignedText $signed, private EntityManagerInterface $em, #[Autowire(env: 'TELAMON_URL')] private string $address)
    {
    }

    public function token(Quote $quote): string
    {
        return $this->signed->sign(self::PURPOSE, $quote->id, 400 * self::DAY);
    }

    /** @throws NotThere where it is none of ours, or nobody has sent it */
    public function quote(string $token): Quote
    {
        $quote = $this->em->find(Quote::class, $this->signed->read(self::PURPOSE, $token) ?? '');

        return null === $quote || null === $quote->sentAt ? throw new NotThere('quote, or the link is over. Ring us instead') : $quote;
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
