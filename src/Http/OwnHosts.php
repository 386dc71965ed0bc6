<?php

declare(strict_types=1);

namespace Telamon\Http;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Exception\SuspiciousOperationException;
use Symfony\Component\HttpKernel\Event\RequestEvent;

/** Answers only under the names that this installation has, and no address with bytes that no address has. */
#[AsEventListener(priority: 400)]
final readonly class OwnHosts
{
    /** @var list<string> */
    private array $hosts;

    /** @param string $hosts parted by commas; any where empty */
    public function __construct(#[Autowire(env: 'TELAMON_HOSTS')] string $hosts)
    {
        $this->hosts = array_values(array_filter(
            array_map(static fn (string $host): string => mb_strtolower(trim($host)), explode(',', $hosts)),
            static fn (string $host): bool => '' !== $host,
        ));
    }

    public function __invoke(RequestEvent $event): void
    {
        $request = $event->getRequest();
        try {
            $isOwn = [] === $this->hosts || \in_array(mb_strtolower($request->getHost()), $this->hosts, true);
        } catch (SuspiciousOperationException) {
            $isOwn = false;
        }
        if (!$isOwn) {
            $event->setResponse((new Problem(421, 'Not this address', 'Nothing is answered under this name. Whoever runs Telamon can add it: bin/start --name.'))->response());
        } elseif (1 === preg_match('/[\x00-\x1f]/', rawurldecode($request->getRequestUri())) || !mb_check_encoding(rawurldecode($request->getPathInfo()), 'UTF-8')) {
            $event->setResponse((new Problem(400, 'Not understood', 'The address holds bytes that no address has.'))->response());
        }
    }
}
