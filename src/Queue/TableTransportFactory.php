<?php

declare(strict_types=1);

namespace Telamon\Queue;

use Doctrine\DBAL\Connection;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Symfony\Component\Messenger\Transport\Serialization\SerializerInterface;
use Symfony\Component\Messenger\Transport\TransportFactoryInterface;
use Symfony\Component\Messenger\Transport\TransportInterface;

/**
 * Makes queues from addresses like table://outbox.
 *
 * @implements TransportFactoryInterface<TableTransport>
 */
#[AutoconfigureTag('messenger.transport_factory')]
final readonly class TableTransportFactory implements TransportFactoryInterface
{
    public function __construct(private Connection $db, private ClockInterface $clock)
    {
    }

    /** @param array<mixed> $options */
    public function createTransport(#[\SensitiveParameter] string $dsn, array $options, SerializerInterface $serializer): TransportInterface
    {
        return new TableTransport($this->db, $serializer, $this->clock, substr($dsn, \strlen('table://')));
    }

    /** @param array<mixed> $options */
    public function supports(#[\SensitiveParameter] string $dsn, array $options): bool
    {
        return str_starts_with($dsn, 'table://');
    }
}
