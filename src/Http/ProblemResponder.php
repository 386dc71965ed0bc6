<?php

declare(strict_types=1);

namespace Telamon\Http;

use Doctrine\DBAL\Exception\DriverException;
use Doctrine\DBAL\Exception\LockWaitTimeoutException;
use Doctrine\ORM\OptimisticLockException;
use League\Flysystem\FilesystemException;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Exception\JsonException;
use Symfony\Component\HttpFoundation\Exception\RequestExceptionInterface;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Telamon\Refusal\Refusal;

/** Turns what is thrown under /api into problem documents. What was not foreseen tells nothing of the inside. */
#[AsEventListener(priority: -10)]
final class ProblemResponder
{
    public function __invoke(ExceptionEvent $event): void
    {
        if (!str_starts_with($event->getRequest()->getPathInfo(), '/api')) {
            return;
        }
        $error = $event->getThrowable();
        $problem = match (true) {
            $error instanceof Problem => $error,
            $error instanceof Refusal => Problem::of($error),
            $error instanceof OptimisticLockException => new Problem(
                409,
                'Changed meanwhile',
                'Somebody else changed this since you opened it. Nothing of yours was saved; look again.',
            ),
            self::isBusy($error) => new Problem(503, 'Busy', 'Much is being written at the moment. Nothing is lost; try again in a moment.'),
            self::isFull($error) => new Problem(507, 'No room', 'The disk is full. Nothing was half done; tell whoever runs this, and try again.'),
            $error instanceof FilesystemException => new Problem(507, 'No room', 'The file could not be written. Nothing was half done; tell whoever runs this.'),
            $error instanceof JsonException => new Problem(400, 'Not JSON', 'The body could not be read as JSON.'),
            $error instanceof RequestExceptionInterface => new Problem(400, 'Not understood', 'The request could not be read.'),
            $error instanceof HttpExceptionInterface => new Problem(
                $error->getStatusCode(),
                Response::$statusTexts[$error->getStatusCode()] ?? 'Not done',
                self::detail($error->getStatusCode()),
            ),
            default => new Problem(500, 'Something broke here', 'It is not your fault, and nothing was half done. Try again; if it stays, tell whoever runs this.'),
        };
        $event->setResponse($problem->response());
        $event->allowCustomResponseCode();
    }

    /** Whether somebody else held the database for longer than anybody waits. */
    private static function isBusy(\Throwable $error): bool
    {
        return $error instanceof LockWaitTimeoutException || ($error instanceof DriverException && str_contains($error->getMessage(), 'database is locked'));
    }

    private static function isFull(\Throwable $error): bool
    {
        return $error instanceof DriverException && str_contains($error->getMessage(), 'database or disk is full');
    }

    private static function detail(int $status): string
    {
        return match ($status) {
            404 => 'There is nothing at this address.',
            405 => 'This address does not take that method.',
            413 => 'That is too large.',
            default => '',
        };
    }
}
