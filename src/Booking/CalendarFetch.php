<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Telamon\Refusal\InvalidInput;

/** Fetches a calendar from another server: https only, never from this network, within a few seconds and megabytes. */
final class CalendarFetch
{
    private const MOST_BYTES = 5_000_000;
    private const SECONDS = 10;

    /** @throws InvalidInput where it is not fetched, with why */
    public function text(string $address): string
    {
        $parts = parse_url($address);
        $host = \is_array($parts) ? $parts['host'] ?? '' : '';
        if (!\is_array($parts) || 'https' !== ($parts['scheme'] ?? '') || '' === $host || isset($parts['user']) || !\in_array($parts['port'] ?? 443, [443, 8443], true)) {
            throw new InvalidInput('address', 'Write an address that begins with https://.');
        }
        $ip = self::publicAddress($host);
        $body = '';
        $curl = curl_init($address);
        curl_setopt_array($curl, [
            \CURLOPT_PROTOCOLS => \CURLPROTO_HTTPS, \CURLOPT_FOLLOWLOCATION => false, \CURLOPT_TIMEOUT => self::SECONDS, \CURLOPT_CONNECTTIMEOUT => 5,
            // The address that was looked at is the one that is asked: a name that answers otherwise the second time leads nowhere.
            \CURLOPT_RESOLVE => ["$host:".($parts['port'] ?? 443).":$ip"],
            \CURLOPT_USERAGENT => 'Telamon', \CURLOPT_WRITEFUNCTION => static function (\CurlHandle $handle, string $data) use (&$body): int {
                $body .= $data;

                return \strlen($body) > self::MOST_BYTES ? 0 : \strlen($data);
            },
        ]);
        $done = curl_exec($curl);
        $status = curl_getinfo($curl, \CURLINFO_RESPONSE_CODE);
        if (false === $done || 200 !== $status) {
            throw new InvalidInput(
                'address',
                \strlen($body) > self::MOST_BYTES ? 'That calendar is larger than 5 MB.' : (200 === $status || 0 === $status ? 'It did not answer in time, or not at all.' : "It answered with $status."),
            );
        }

        return $body;
    }

    /** @return string an IP address that lies outside of private networks */
    public static function publicAddress(string $host): string
    {
        $host = trim($host, '[]');
        $found = false !== filter_var($host, \FILTER_VALIDATE_IP)
            ? [$host]
            : array_values(array_filter(
                array_map(static fn (array $row): ?string => $row['ip'] ?? $row['ipv6'] ?? null, @dns_get_record($host, \DNS_A | \DNS_AAAA) ?: []),
                \is_string(...),
            ));
        foreach ($found as $ip) {
            if (
                false === filter_var($ip, \FILTER_VALIDATE_IP, \FILTER_FLAG_NO_PRIV_RANGE | \FILTER_FLAG_NO_RES_RANGE)
                || 1 === preg_match('/^(100\.(6[4-9]|[7-9]\d|1[01]\d|12[0-7])\.|22[4-9]\.|23\d\.|::|64:ff9b:|2002:|2001:0?0?0?0:|ff|f[cd]|fe[89abc-f])/i', $ip)
            ) {
                throw new InvalidInput('address', 'That address lies in a private network. Export a file instead.');
            }
        }

        return $found[0] ?? throw new InvalidInput('address', 'There is no such server.');
    }
}
