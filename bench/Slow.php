<?php

declare(strict_types=1);

namespace Telamon\Bench;

/** Many who begin a request and do not end it, while somebody else asks for the site. */
final readonly class Slow
{
    public function __construct(private string $address)
    {
    }

    /**
     * @param int $many connections, all from 127.0.0.1
     * @param string $begun what each of them sends, and nothing after it
     *
     * @return array{status: int, seconds: float, turned: int, left: int} how somebody at another address is answered meanwhile
     *                                                                    (0 where not within 20 s), how many of the many were answered at once, how many are held after 25 s
     */
    public function against(int $many, string $begun): array
    {
        $host = 'tcp://'.substr($this->address, \strlen('http://'));
        $open = [];
        for ($i = 0; $i < $many; ++$i) {
            $one = stream_socket_client($host, timeout: 5) ?: throw new \RuntimeException("connection $i is not taken");
            stream_set_blocking($one, false);
            fwrite($one, $begun);
            $open[] = $one;
        }
        $began = microtime(true);
        $curl = curl_init($this->address.'/api/public/forms/piano-inquiry');
        curl_setopt_array($curl, [\CURLOPT_RETURNTRANSFER => true, \CURLOPT_TIMEOUT => 20, \CURLOPT_INTERFACE => '127.0.0.2']);
        curl_exec($curl);
        $seconds = microtime(true) - $began;
        $turned = \count(array_filter($open, static fn ($one): bool => str_starts_with((string) fread($one, 2048), 'HTTP/1.1 429')));
        $left = $open;
        while ([] !== $left && microtime(true) - $began < 25) {
            usleep(200_000);
            $left = array_filter($left, static fn ($one): bool => \in_array(fread($one, 2048), ['', false], true) && !feof($one));
        }
        array_map(fclose(...), $open);

        return ['status' => curl_getinfo($curl, \CURLINFO_RESPONSE_CODE), 'seconds' => $seconds, 'turned' => $turned, 'left' => \count($left)];
    }
}
