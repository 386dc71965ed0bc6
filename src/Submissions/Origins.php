<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\IpUtils;
use Symfony\Component\HttpFoundation\Request;
use Telamon\Business\Profile;
use Telamon\Http\JsonBody;

/** Reads where a submission came from out of the request that brought it. */
final readonly class Origins
{
    private const CAMPAIGN = ['utm_source', 'utm_medium', 'utm_campaign', 'utm_term', 'utm_content'];
    private const MOST_SECONDS = 30 * 86_400;

    public function __construct(private Profile $business, private ClockInterface $clock)
    {
    }

    /** @param array<array-key, mixed> $body */
    public function of(Request $request, array $body): Origin
    {
        $page = JsonBody::text($body, 'page', 500);
        $given = \is_array($body['campaign'] ?? null) ? $body['campaign'] : [];
        $campaign = [];
        foreach (self::CAMPAIGN as $name) {
            if (\is_string($given[$name] ?? null) && '' !== trim($given[$name])) {
                $campaign[$name] = mb_substr(mb_scrub(trim($given[$name])), 0, 200);
            }
        }
        $address = $request->getClientIp() ?? '';
        $seconds = $body['seconds'] ?? null;

        return new Origin(
            1 === preg_match('#^https?://#', $page) ? mb_scrub($page) : '',
            $campaign,
            '' !== $address && $this->business->business()->shortensAddresses ? IpUtils::anonymize($address) : $address,
            \is_int($seconds) && $seconds >= 0 && $seconds <= self::MOST_SECONDS ? $this->clock->now()->sub(new \DateInterval("PT{$seconds}S")) : null,
        );
    }
}
