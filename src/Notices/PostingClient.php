<?php

declare(strict_types=1);

namespace Telamon\Notices;

use Symfony\Component\HttpClient\NoPrivateNetworkHttpClient;
use Symfony\Component\HttpFoundation\IpUtils;
use Symfony\Contracts\HttpClient\HttpClientInterface;

/** By what rooms post. An address inside the own network would let whoever sets it look where they must not: it is refused unless the installation says otherwise. */
final class PostingClient
{
    public static function make(HttpClientInterface $client, bool $private): HttpClientInterface
    {
        return $private ? $client : new NoPrivateNetworkHttpClient($client, [...IpUtils::PRIVATE_SUBNETS, '224.0.0.0/4', 'ff00::/8']);
    }
}
