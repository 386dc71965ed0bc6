<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Telamon\Business\Profile;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Reading\NameReader;
use Telamon\Messages\MessageQueue;
use Telamon\Messages\SentCount;
use Telamon\Staff\Staff;

/** Mails whom a form tells at once what was sent, before anybody has accepted anything. Call it inside a change. */
final readonly class TellAtOnce
{
    public const TEMPLATE = 'arrived';
    /** So many in an hour to one of the staff; more of them is no news but a flood, and all stand in Arrivals. */
    private const MOST_AN_HOUR = 30;

    public function __construct(
        private EntityManagerInterface $em,
        private MessageQueue $messages, private SentCount $sent,
        private NameReader $names,
        private Profile $business,
        #[Autowire(env: 'TELAMON_URL')] private string $address,
    ) {
    }

    public function tell(Submission $submission, FormDefinition $form, \DateTimeImmutable $now): void
    {
        if ('' === $form->tell) {
            return;
        }
        $named = $this->em->find(Staff::class, $form->tell);
        // Whoever has left is told nothing; somebody has to be.
        $staff = true === $named?->active ? $named : $this->business->business()->coordinator;
        if ($this->sent->since(self::TEMPLATE, $staff->email, $now->modify('-1 hour')) >= self::MOST_AN_HOUR) {
            return;
        }
        $this->messages->queue(self::TEMPLATE, $staff->email, $staff->name, [
            'first_name' => $this->names->read($staff->name)->given, 'client' => $submission->name, 'form' => $form->title, 'reference' => $submission->number,
            'until' => $submission->dueAt->setTimezone($this->business->zone())->format('D j M, H:i'),
            'answers' => AnswersAsText::of($submission, $form, static fn (): bool => true),
            'link' => '' === $this->address ? '' : rtrim($this->address, '/')."/arrivals/{$submission->id}",
        ], null, null, $submission->id);
    }
}
