<?php

declare(strict_types=1);

namespace Telamon\Http;

use Symfony\Component\DependencyInjection\Attribute\Target;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\RateLimiter\RateLimiterFactoryInterface;

/** How much one address may send in an hour without signing in. */
final readonly class PublicLimits
{
    public function __construct(
        #[Target('submissions.limiter')]
        private RateLimiterFactoryInterface $submissions,
        #[Target('uploads.limiter')]
        private RateLimiterFactoryInterface $uploads,
        #[Target('upload_kilobytes.limiter')]
        private RateLimiterFactoryInterface $kilobytes,
        #[Target('bookings.limiter')]
        private RateLimiterFactoryInterface $bookings,
    ) {
    }

    /** @throws Problem 429 */
    public function submission(Request $request): void
    {
        $this->take($this->submissions, $request);
    }

    /** @throws Problem 429 */
    public function booking(Request $request): void
    {
        $this->take($this->bookings, $request);
    }

    /** @throws Problem 429 */
    public function upload(Request $request): void
    {
        $this->take($this->uploads, $request);
    }

    /** @throws Problem 429 */
    public function bytes(Request $request, int $bytes): void
    {
        $this->take($this->kilobytes, $request, intdiv($bytes, 1024) + 1);
    }

    private function take(RateLimiterFactoryInterface $limiter, Request $request, int $tokens = 1): void
    {
        if (!$limiter->create($request->getClientIp() ?? '')->consume($tokens)->isAccepted()) {
            throw new Problem(429, 'Too much at once', 'A lot has come from your address within the hour. Nothing of yours is lost; send it again in a while.');
        }
    }
}
