<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Messenger\MessageBusInterface;
use Symfony\Component\Messenger\Stamp\DelayStamp;
use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Core\Plan\SentBefore;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Projects\Project;
use Telamon\Staff\Staff;

/** Writes messages from templates and queues them. Call it inside a change. */
final readonly class MessageQueue
{
    public function __construct(
        private EntityManagerInterface $em,
        private MessageBusInterface $bus,
        private TemplateWriter $writer,
        private Profile $business,
        private Lacking $lacking,
        private AutomaticAnswers $automatic,
        private Changes $changes,
        private ClockInterface $clock,
        #[Autowire(env: 'int:TELAMON_HOLD_SECONDS')]
        private int $holdSeconds,
    ) {
    }

    /**
     * @param array<string, string> $fields merge fields beyond the business's own
     * @param string $says what it rests on, as the plan says
     * @param bool $held whether it waits a moment, so that undo can stop it
     * @param Channel $by as a text only where the template has one, to a number (E.164)
     */
    public function queue(
        string $template,
        string $to,
        string $toName,
        array $fields,
        ?Client $client,
        ?Project $project,
        ?string $submissionId,
        string $says = '',
        bool $held = false,
        Ground $ground = Ground::Contract,
        Channel $by = Channel::Mail,
    ): Message {
        $text = $this->em->getRepository(MessageTemplate::class)->findOneBy(['key' => $template]) ?? throw new \LogicException("there is no template $template");
        $business = $this->business->business();
        $written = $this->writer->fill($text->text(), $fields);
        $message = new Message(
            match ($template) {
                'confirmation', 'copy' => 'confirmation',
                'notice', 'added', 'told', 'arrived' => 'notice',
                default => 'message',
            },
            $to,
            $toName,
            $business->email,
            $business->name,
            $written->subject,
            $written->text,
            $template,
            $client,
            $project,
            $submissionId,
            $this->clock->now(),
        );
        $this->em->persist($message);
        $message->rest(Purpose::Staff === $text->purpose() ? Ground::Staff : $ground);
        $message->carry($text->text()->enclosed);
        $message->goBy($by);
        $message->put($written);
        if ($text->off) {
            // It stands in the list, so that nobody wonders why nothing came.
            $message->becomes(MessageState::Cancelled, 'Switched off in Setup, Messages.', null);

            return $message;
        }
        $against = Ground::Staff === $message->ground ? '' : $this->automatic->against($template, $to, $submissionId);
        if ('' !== $against) {
            // It stands in the list, so that somebody sees why nothing came.
            $message->becomes(MessageState::Cancelled, $against, null);

            return $message;
        }
        $gaps = $written->gapsOf($by);
        if ([] !== $gaps) {
            // A letter with an empty place is not sent: a person says what stands there.
            $message->hold($says, $this->clock->now());
            $message->wait(
                'Nothing to fill in: '.implode(', ', array_map(FieldWords::label(...), $gaps)).'.',
                ['values' => $fields, 'gaps' => $gaps, 'text' => $text->text()->toArray()],
            );

            return $message;
        }
        $lacks = $this->lacking->of($message);
        if ('' !== $lacks) {
            $message->hold($says, $this->clock->now());
            $message->wait($lacks);

            return $message;
        }
        $message->hold($says, $held ? $this->clock->now()->modify("+{$this->holdSeconds} seconds") : $this->clock->now());
        $this->bus->dispatch(new SendMessage($message->id), $held && $this->holdSeconds > 0 ? [new DelayStamp(1000 * $this->holdSeconds)] : []);

        return $message;
    }

    /**
     * Where a template goes as a text.
     *
     * @param bool $only whether there is no other way to them
     *
     * @return string number (E.164); empty where it goes as a mail
     */
    public function number(string $template, ?Client $client, bool $only): string
    {
        $text = $this->em->getRepository(MessageTemplate::class)->findOneBy(['key' => $template]);

        return null !== $text && '' !== $text->textMessage && ($only || $text->textFirst) ? $client?->first(ContactKind::Phone) ?? '' : '';
    }

    /**
     * Sends somebody of the staff how a template reads, at once. Nothing else comes of it.
     *
     * @param array<string, mixed> $shown as TemplatePreview in the contract
     * @param Enclosed $along its files go with it; what is made for a reader does not, as there is none
     */
    public function test(MessageTemplate $template, array $shown, Enclosed $along, Staff $staff): Message
    {
        return $this->tests([[$template, $shown, 'Test', $along]], "sent themselves a test of “{$template->name}”", $staff)[0];
    }

    /**
     * Several of them, as one change.
     *
     * @param non-empty-list<array{MessageTemplate, array<string, mixed>, string, Enclosed}> $tests each with how it reads, what stands before its subject, and what goes along
     *
     * @return non-empty-list<Message>
     */
    public function tests(array $tests, string $words, Staff $staff): array
    {
        $business = $this->business->business();
        $first = $tests[0][0];
        $act = Act::of(ChangeKind::Send, $words, $staff)->on('business', $first->id, $first->name);

        return $this->changes->carryOut($act, fn (): array => array_map(function (array $test) use ($business, $staff): Message {
            [$template, $shown, $before, $along] = $test;
            $text = static fn (string $key): string => \is_string($shown[$key] ?? null) ? $shown[$key] : '';
            $message = new Message(
                'test',
                $staff->email,
                $staff->name,
                $business->email,
                $business->name,
                mb_substr("$before: ".$text('subject'), 0, 200),
                $text('text'),
                $template->key,
                null,
                null,
                null,
                $this->clock->now(),
            );
            $message->say($message->subject, $message->text, $text('html'));
            $message->rest(Ground::Staff);
            foreach ($along->files() as $file) {
                $message->encloseFile($file);
            }
            $this->em->persist($message);
            $this->bus->dispatch(new SendMessage($message->id));

            return $message;
        }, $tests));
    }

    /** @return array<string, string> name by key */
    public function templateNames(): array
    {
        $names = [];
        foreach ($this->em->getRepository(MessageTemplate::class)->findBy(['retired' => false]) as $template) {
            $names[$template->key] = $template->name;
        }

        return $names;
    }

    /** Seconds that a mail waits which somebody's decision sends. */
    public function holdSeconds(): int
    {
        return $this->holdSeconds;
    }

    /** @return list<SentBefore> what has gone out for this submission, the newest first */
    public function alreadySent(string $submissionId): array
    {
        $sent = [];
        foreach ($this->em->getRepository(Message::class)->findBy(
            ['submissionId' => $submissionId, 'state' => [MessageState::Sent, MessageState::Sending]],
            ['queuedAt' => 'DESC', 'id' => 'DESC'],
        ) as $message) {
            $sent[] = new SentBefore(
                $message->template,
                $message->toAddress,
                $message->says,
                ($message->sentAt ?? $message->queuedAt)->setTimezone($this->business->zone())->format('Y-m-d'),
            );
        }

        return $sent;
    }
}
