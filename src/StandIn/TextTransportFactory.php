<?php

declare(strict_types=1);

namespace Telamon\StandIn;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Symfony\Component\Notifier\Transport\Dsn;
use Symfony\Component\Notifier\Transport\TransportFactoryInterface;
use Symfony\Component\Notifier\Transport\TransportInterface;

#[AutoconfigureTag('texter.transport_factory')]
final readonly class TextTransportFactory implements TransportFactoryInterface
{
    public function __construct(private TextFolder $folder)
    {
    }

    public function create(Dsn $dsn): TransportInterface
    {
        return new TextTransport($this->folder);
    }

    public function supports(Dsn $dsn): bool
    {
        return 'text-folder' === $dsn->getScheme();
    }
}
