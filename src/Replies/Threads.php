<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Clients\ContactPoint;
use Telamon\Messages\Channel;
use Telamon\Messages\Ground;
use Telamon\Messages\Message;
use Telamon\Messages\SignedAddresses;

/** Which message a mail answers: by the signed address it was sent to, by the ids it names, by who wrote and a subject that begins with "Re:". */
final readonly class Threads
{
    /** Days after which "Re:" alone is no thread any more. */
    private const BACK = 90;

    public function __construct(private EntityManagerInterface $em, private SignedAddresses $addresses, private ClockInterface $clock)
    {
    }

    public function of(ReceivedMail $mail): ?Message
    {
        foreach ($mail->to as $address) {
            $id = $this->addresses->messageOf($address);
            $found = null === $id ? null : $this->em->find(Message::class, $id);
            if (null !== $found) {
                return $found;
            }
        }
        foreach ($mail->references as $reference) {
            $found = $this->byMessageId($reference);
            if (null !== $found) {
                return $found;
            }
        }
        if (1 !== preg_match('/^(re|aw|antw|sv|rif|réf|tr) ?:/iu', $mail->subject)) {
            return null;
        }
        /** @var list<Message> $last */
        $last = $this->em->createQueryBuilder()->select('m')->from(Message::class, 'm')->where('LOWER(m.toAddress) = :address AND m.ground <> :staff AND m.queuedAt >= :since')
            ->setParameter('address', $mail->fromAddress)->setParameter('staff', Ground::Staff->value)->setParameter('since', $this->clock->now()->modify('-'.self::BACK.' days'))
            ->orderBy('m.queuedAt', 'DESC')->setMaxResults(1)->getQuery()->getResult();

        return $last[0] ?? null;
    }

    /** @return Message|null the text that was last sent to a number */
    public function ofNumber(string $number): ?Message
    {
        /** @var list<Message> $last */
        $last = $this->em->createQueryBuilder()->select('m')->from(Message::class, 'm')->where('m.toAddress = :number AND m.channel = :text AND m.queuedAt >= :since')
            ->setParameter('number', $number)->setParameter('text', Channel::Text->value)->setParameter('since', $this->clock->now()->modify('-'.self::BACK.' days'))
            ->orderBy('m.queuedAt', 'DESC')->setMaxResults(1)->getQuery()->getResult();

        return $last[0] ?? null;
    }

    /** @param string $messageId as in a header, without brackets */
    public function byMessageId(string $messageId): ?Message
    {
        $id = strtolower(explode('@', $messageId)[0]);

        return 1 === preg_match('/^[0-9a-f-]{36}$/', $id) ? $this->em->find(Message::class, $id) : null;
    }

    /** @return Client|null the only one whose address it is */
    public function client(string $address): ?Client
    {
        return $this->only(ContactKind::Email, mb_strtolower($address));
    }

    /** @return Client|null the only one whose number (E.164) it is */
    public function clientOfNumber(string $number): ?Client
    {
        return $this->only(ContactKind::Phone, $number);
    }

    private function only(ContactKind $kind, string $value): ?Client
    {
        /** @var list<ContactPoint> $points */
        $points = $this->em->createQueryBuilder()
            ->select('p', 'c')
            ->from(ContactPoint::class, 'p')
            ->join('p.client', 'c')
            ->where(
                'p.kind = :kind AND LOWER(p.value) = :address AND (p.confirmed = true OR NOT EXISTS (SELECT q.id FROM '.ContactPoint::class.' q WHERE q.client = c AND q.confirmed = true))',
            )
            ->setParameter('kind', $kind->value)->setParameter('address', $value)->setMaxResults(3)->getQuery()->getResult();
        $clients = [];
        foreach ($points as $point) {
            $client = $point->client->mergedInto ?? $point->client;
            $clients[$client->id] = $client;
        }

        return 1 === \count($clients) ? array_values($clients)[0] : null;
    }
}
