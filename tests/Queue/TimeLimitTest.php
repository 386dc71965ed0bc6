<?php

declare(strict_types=1);

namespace Telamon\Tests\Queue;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Messenger\Envelope;
use Symfony\Component\Messenger\Handler\HandlersLocator;
use Symfony\Component\Messenger\MessageBus;
use Symfony\Component\Messenger\Middleware\HandleMessageMiddleware;
use Symfony\Component\Messenger\Stamp\ReceivedStamp;
use Telamon\Messages\SendMessage;
use Telamon\Queue\JobTookTooLong;
use Telamon\Queue\TimeLimit;

final class TimeLimitTest extends TestCase
{
    public function testAJobThatNeverEndsIsEndedAndSaysSo(): void
    {
        $bus = new MessageBus([new TimeLimit(1), new HandleMessageMiddleware(new HandlersLocator([SendMessage::class => [static function (): void {
            for ($sum = ''; \strlen($sum) < 1000;) {
                $sum = hash('sha256', random_bytes(100));
            }
        }]]))]);
        try {
            $bus->dispatch(new Envelope(new SendMessage('x'), [new ReceivedStamp('outbox')]));
            self::fail('it went on');
        } catch (\Throwable $error) {
            $why = $error->getPrevious() ?? $error;
            self::assertInstanceOf(JobTookTooLong::class, $why);
            self::assertStringContainsString('SendMessage took longer', $why->getMessage());
        }
    }
}
