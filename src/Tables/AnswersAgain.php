<?php

declare(strict_types=1);

namespace Telamon\Tables;

use Doctrine\DBAL\Connection;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;
use Symfony\Component\Messenger\MessageBusInterface;

/** Reads what came before anew, in short stretches, so that nobody who sends a form waits for it. */
final readonly class AnswersAgain
{
    private const AT_ONCE = 200;

    public function __construct(private Connection $db, private AnswerRows $rows, private MessageBusInterface $bus)
    {
    }

    #[AsMessageHandler]
    public function goOn(ReadAnswersAgain $job): void
    {
        $this->db->transactional(function () use ($job): void {
            $after = $this->rows->again($job->formId, $job->after, self::AT_ONCE);
            if (null !== $after) {
                $this->bus->dispatch(new ReadAnswersAgain($job->formId, $after));
            }
        });
    }
}
