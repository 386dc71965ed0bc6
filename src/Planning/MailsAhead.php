<?php

declare(strict_types=1);

namespace Telamon\Planning;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Core\Effects\MakeAsset;
use Telamon\Core\Effects\MakeClient;
use Telamon\Core\Effects\OpenProject;
use Telamon\Core\Effects\QueueMessage;
use Telamon\Core\Effects\UseAsset;
use Telamon\Core\Effects\UseClient;
use Telamon\Core\Effects\UseProject;
use Telamon\Core\Planning\Plan;
use Telamon\Effects\Effects;
use Telamon\Effects\Making;
use Telamon\Effects\NothingToHangOn;
use Telamon\Effects\Occasion;
use Telamon\Messages\Message;
use Telamon\Submissions\Submission;

/** What the mails of a plan will say, word for word: they are written as acceptance would write them, and taken back. */
final readonly class MailsAhead
{
    /** What a mail may name. */
    private const NAMED = [MakeClient::class, UseClient::class, MakeAsset::class, UseAsset::class, OpenProject::class, UseProject::class, QueueMessage::class];

    public function __construct(private Connection $db, private EntityManagerInterface $em, private Effects $effects, private ClockInterface $clock)
    {
    }

    /**
     * Nothing stays of it. What was loaded before is loaded anew afterwards.
     *
     * @return list<array{line: string, to: string, subject: string, text: string}> by the key of the line
     */
    public function of(Submission $submission, Plan $plan): array
    {
        $made = new Making($this->clock->now(), new Occasion($submission->id, $submission->number, $submission->name));
        $mails = [];
        $this->db->beginTransaction();
        try {
            foreach ($plan->lines as $line) {
                if (null === $line->effect || !\in_array($line->effect::class, self::NAMED, true)) {
                    continue;
                }
                foreach ($this->effects->handler($line->effect::class)->write($line->effect, $made) as $written) {
                    if ($written instanceof Message) {
                        // The mail names what the plan makes before it has a number: that is given when it is accepted.
                        $mails[] = ['line' => $line->key, 'to' => $written->toAddress, 'subject' => $written->subject, 'text' => $written->text];
                    }
                }
            }
        } catch (NothingToHangOn) {
            // Who it is for is still open: what can be told is told.
        } finally {
            $this->db->rollBack();
            $this->em->clear();
        }

        return $mails;
    }
}
