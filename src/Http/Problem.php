<?php

declare(strict_types=1);

namespace Telamon\Http;

use Symfony\Component\HttpFoundation\JsonResponse;
use Telamon\Refusal\Nature;
use Telamon\Refusal\Refusal;

/** What went wrong, told as RFC 9457 problem details. Thrown by controllers only, whose word it is; the domain refuses with refusals. Answered by ProblemResponder. */
final class Problem extends \RuntimeException
{
    /** @param list<array{path: string, message: string}> $violations */
    public function __construct(
        public readonly int $status,
        public readonly string $title,
        public readonly string $detail = '',
        public readonly array $violations = [],
    ) {
        parent::__construct("$title. $detail");
    }

    public static function notFound(string $what): self
    {
        return new self(404, 'Not found', "There is no such $what.");
    }

    public static function invalid(string $path, string $message): self
    {
        return new self(422, 'Some answers need another look', $message, [['path' => $path, 'message' => $message]]);
    }

    /** A refusal of the domain, as HTTP tells it (RFC 9110). */
    public static function of(Refusal $refusal): self
    {
        return new self(match ($refusal->nature()) {
            Nature::Invalid => 422,
            Nature::NotThere => 404,
            Nature::Gone => 410,
            Nature::NotAllowed => 403,
            Nature::Conflict => 409,
            Nature::Unavailable => 503,
            Nature::TooMany => 429,
        }, $refusal->title(), $refusal->getMessage(), $refusal->violations());
    }

    public function response(): JsonResponse
    {
        $body = ['type' => 'about:blank', 'title' => $this->title, 'status' => $this->status, 'detail' => $this->detail];
        if ([] !== $this->violations) {
            $body['violations'] = $this->violations;
        }
        $response = new JsonResponse(null, $this->status, ['Content-Type' => 'application/problem+json']);
        $response->setEncodingOptions($response->getEncodingOptions() | \JSON_INVALID_UTF8_SUBSTITUTE);
        $response->setData($body);
        $response->headers->set('Content-Type', 'application/problem+json');
        if (503 === $this->status) {
            $response->headers->set('Retry-After', '2');
        }

        return $response;
    }
}
