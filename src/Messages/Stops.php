<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\EventDispatcher\EventDispatcherInterface;
use Telamon\Clients\Client;
use Telamon\Clients\ContactPoint;
use Telamon\Core\Replies\Meaning;

/** Whom nothing unasked is sent to any more. Call what writes inside a change. */
final readonly class Stops
{
    public function __construct(private EntityManagerInterface $em, private EventDispatcherInterface $events, private ClockInterface $clock)
    {
    }

    /** @return list<string> mail addresses, in small letters, and numbers of a client */
    public static function addressesOf(Client $client): array
    {
        return array_values(array_map(static fn (ContactPoint $point): string => mb_strtolower($point->value), $client->contactPoints->toArray()));
    }

    public function has(string $address): bool
    {
        return null !== $this->of($address);
    }

    /** Whether a letter that may ask to stop waits to be read: what nobody asked for is kept back meanwhile. */
    public function isPerhapsAsked(Message $message): bool
    {
        return false !== $this->em->getConnection()->fetchOne(
            'SELECT 1 FROM incoming WHERE state = ? AND says = ? AND (LOWER(from_address) = ? OR client_id = ?) LIMIT 1',
            [IncomingState::Open->value, Meaning::Stop->value, mb_strtolower($message->toAddress), $message->client->id ?? ''],
        );
    }

    /**
     * What waits and was not asked for is cancelled; what somebody ordered or booked is still confirmed.
     *
     * @param string $way how it was said
     * @param string $words what was written
     */
    public function stop(string $address, ?Client $client, string $way, string $words): void
    {
        $address = mb_strtolower(trim($address));
        if ('' === $address) {
            return;
        }
        if (!$this->has($address)) {
            $this->em->persist(new StoppedAddress($address, $client, $way, mb_substr($words, 0, 500), $this->clock->now()));
        }
        /** @var list<Message> $waiting */
        $waiting = $this->em->createQueryBuilder()
            ->select('m')
            ->from(Message::class, 'm')
            ->where('LOWER(m.toAddress) = :address AND m.state IN (:waiting) AND m.ground <> :contract')
            ->setParameter('address', $address)->setParameter(
                'waiting',
                [MessageState::Queued->value, MessageState::Held->value],
            )->setParameter('contract', Ground::Contract->value)->getQuery()->getResult();
        foreach ($waiting as $message) {
            $message->stop();
        }
        $this->events->dispatch(new AskedToStop($address, $client));
    }

    public function allowAgain(string $address): void
    {
        $there = $this->of($address);
        if (null !== $there) {
            $this->em->remove($there);
        }
    }

    private function of(string $address): ?StoppedAddress
    {
        return $this->em->getRepository(StoppedAddress::class)->findOneBy(['address' => mb_strtolower(trim($address))]);
    }
}
