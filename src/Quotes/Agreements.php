<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Psr\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Telamon\Business\Profile;
use Telamon\Clients\ContactKind;
use Telamon\Core\Reading\NameReader;
use Telamon\Http\SignedText;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Messages\MessageQueue;
use Telamon\Messages\MessageTemplate;
use Telamon\Messages\TemplateWriter;
use Telamon\Projects\Project;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\NotThere;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Texts that clients sign: written from the business's own, sent, opened, signed or declined, withdrawn. */
final readonly class Agreements
{
    private const PURPOSE = 'agreement';
    private const DAY = 86_400;

    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private MessageQueue $messages,
        private QuoteFiles $files,
        private Parties $parties,
        private Closing $closing,
        private SignedText $signed,
        private TemplateWriter $writer,
        private NameReader $names,
        private EventDispatcherInterface $events,
        private Profile $business,
        private ClockInterface $clock,
        #[Autowire(env: 'TELAMON_URL')] private string $address,
    ) {
    }

    /** @return array{title: string, text: string} as it would be sent, to be looked at and changed */
    public function draft(Project $project): array
    {
        $own = $this->em->getRepository(MessageTemplate::class)->findOneBy(['key' => 'agreement']);
        // What they said yes to, else what they have.
        $quotes = $this->em->getRepository(Quote::class);
        $quote = $quotes->findOneBy(['project' => $project, 'state' => QuoteState::Accepted], ['answeredAt' => 'DESC']) ?? $quotes->findOneBy(
            ['project' => $project, 'state' => [QuoteState::Sent, QuoteState::Opened]],
            ['sentAt' => 'DESC'],
        );
        $fields = [
            'client' => $project->client->name(),
            'first_name' => $project->client->givenName,
            'address' => $project->client->address,
            'project' => $project->title,
            'asset' => $project->asset->description ?? '',
            'ready_by' => $project->readyBy?->format('j F Y') ?? '',
            'quote' => $quote?->shown() ?? '',
            'total' => null === $quote ? '' : Money::shown($quote->total, $quote->currency),
            'lead' => $project->lead->name,
            'today' => $this->clock->now()->setTimezone($this->business->zone())->format('j F Y'),
            'business' => $this->business->business()->name,
            'business_phone' => $this->business->phoneReader()->format($this->business->business()->phone),
        ];

        $written = null === $own ? null : $this->writer->fill($own->text(), $fields);

        return ['title' => $written->subject ?? 'Agreement', 'text' => $written->text ?? ''];
    }

    /** @throws Refusal */
    public function send(string $id, Project $project, Edit $edit, Staff $by): Agreement
    {
        $there = $this->em->find(Agreement::class, $id);
        if (null !== $there) {
            return $there;
        }
        [$title, $text] = [$edit->text('title', 200) ?? '', $edit->text('text', 50_000) ?? ''];
        $email = $project->client->first(ContactKind::Email) ?? '';
        match (true) {
            '' === $title => throw new InvalidInput('title', 'Give it a title.'),
            '' === $text => throw new InvalidInput('text', 'Write what is agreed.'),
            '' === $email => throw new InvalidInput('client', "{$project->client->name()} has no mail address. Add one first."),
            default => null,
        };

        return $this->changes->carryOut(
            $this->change("sent {$title} to {$project->client->name()} for signature", $by, ChangeKind::Edit, $project),
            fn (): Agreement => $this->leave($id, $project, $title, $text),
        );
    }

    /** A text goes out for signature, to a client with a mail address. Call it inside a change. */
    public function leave(string $id, Project $project, string $title, string $text): Agreement
    {
        $client = $project->client;
        $agreement = new Agreement($client, $project, $title, $text, $this->clock->now(), $id);
        $this->em->persist($agreement);
        $this->em->flush();
        $this->messages->queue(
            'agreement-sign',
            $client->first(ContactKind::Email) ?? '',
            $client->name(),
            $this->fields($agreement, $client->givenName),
            $client,
            $project,
            $project->submissionId,
            held: true,
        );

        return $agreement;
    }

    /** @throws Refusal */
    public function withdraw(Agreement $agreement, Staff $by): void
    {
        $this->changes->carryOut($this->change(
            "withdrew {$agreement->title}",
            $by,
            ChangeKind::Edit,
            $agreement->project,
            $agreement,
        )->looking($agreement), function () use ($agreement): void {
            if (AgreementState::Signed === $agreement->state) {
                throw new QuoteOver('It is signed. That stays as it is.');
            }
            $agreement->becomes(AgreementState::Withdrawn, $this->clock->now());
        });
    }

    public function opened(Agreement $agreement): void
    {
        if (null === $agreement->openedAt && AgreementState::Sent === $agreement->state) {
            $this->changes->carryOut(
                $this->change("{$agreement->client->name()} opened {$agreement->title}", null, ChangeKind::Receive, $agreement->project, $agreement),
                fn () => $agreement->beOpened($this->clock->now()),
            );
        }
    }

    /** @throws Refusal */
    public function decline(Agreement $agreement, string $reason): void
    {
        $this->changes->carryOut($this->change(
            "{$agreement->client->name()} declined {$agreement->title}",
            null,
            ChangeKind::Receive,
            $agreement->project,
            $agreement,
        )->looking($agreement), function () use ($agreement, $reason): void {
            $this->refuseOver($agreement);
            $agreement->becomes(AgreementState::Declined, $this->clock->now(), mb_substr(trim($reason), 0, 500));
            $this->tellLead($agreement, 'is declined'.('' === trim($reason) ? '' : ': '.trim($reason)));
        });
    }

    /**
     * @param string $drawing PNG as a data address; empty where the name was typed
     *
     * @throws Refusal
     */
    public function sign(Agreement $agreement, string $name, string $drawing, Reached $reached): void
    {
        $name = Closing::mayBe($name, $drawing);
        $this->changes->carryOut($this->change(
            "$name signed {$agreement->title}",
            null,
            ChangeKind::Receive,
            $agreement->project,
            $agreement,
        )->looking($agreement), function () use ($agreement, $name, $drawing, $reached): void {
            // Looked at again under the write lock: two at one time are one.
            $this->refuseOver($agreement);
            $this->em->persist($this->closing->close(
                $agreement->id,
                ['what' => 'agreement'] + AgreementFacts::of($agreement, $this->parties)->toArray(),
                $name,
                $drawing,
                $reached->by($agreement->client->first(ContactKind::Email) ?? ''),
            ));
            $agreement->becomes(AgreementState::Signed, $this->clock->now());
            $this->em->flush();
            $email = $agreement->client->first(ContactKind::Email) ?? '';
            $letter = null;
            if ('' !== $email) {
                $letter = $this->messages->queue(
                    'agreement-signed',
                    $email,
                    $agreement->client->name(),
                    $this->fields($agreement, $agreement->client->givenName),
                    $agreement->client,
                    $agreement->project,
                    null,
                );
            }
            $this->files->keepAgreement($agreement, $letter);
            $this->tellLead($agreement, 'is signed');
            $this->em->flush();
            $this->events->dispatch(new AgreementSigned($agreement));
        });
    }

    /** @return string why it cannot be signed (any more), in words for the client; empty where it can */
    public function over(Agreement $agreement): string
    {
        return match ($agreement->state) {
            AgreementState::Sent => '',
            AgreementState::Signed => 'It is signed. Thank you.',
            AgreementState::Declined => 'You said no to it. If that has changed, ask us and we send it again.',
            AgreementState::Withdrawn => 'It is no longer good: we withdrew it. Look into your mail, or ask us.',
        };
    }

    public function token(Agreement $agreement): string
    {
        return $this->signed->sign(self::PURPOSE, $agreement->id, 400 * self::DAY);
    }

    /** @throws NotThere where it is none of ours */
    public function find(string $token): Agreement
    {
        return $this->em->find(Agreement::class, $this->signed->read(self::PURPOSE, $token) ?? '') ?? throw new NotThere('agreement, or the link is over. Ring us instead');
    }

    private function refuseOver(Agreement $agreement): void
    {
        $over = $this->over($agreement);
        if ('' !== $over) {
            throw new QuoteOver($over);
        }
    }

    private function tellLead(Agreement $agreement, string $what): void
    {
        $lead = $agreement->project->lead;
        $this->messages->queue(
            'quote-answered',
            $lead->email,
            $lead->name,
            [
                'first_name' => $this->names->read($lead->name)->given,
                'what' => $what,
                'words' => '',
                'client' => $agreement->client->name(),
                'quote' => $agreement->title,
                'project' => $agreement->project->title,
                'total' => '',
                'deposit' => '',
                'valid_until' => '',
                'lead' => $lead->name,
                'link' => '' === $this->address ? '' : rtrim($this->address, '/')."/projects/{$agreement->project->id}",
            ],
            $agreement->client,
            $agreement->project,
            null,
        );
    }

    /** @return array<string, string> */
    private function fields(Agreement $agreement, string $first): array
    {
        return [
            'first_name' => $first,
            'title' => $agreement->title,
            'project' => $agreement->project->title,
            'lead' => $agreement->project->lead->name,
            'link' => '' === $this->address ? '' : rtrim($this->address, '/').'/agreement/'.$this->token($agreement),
        ];
    }

    private function change(string $words, ?Staff $by, ChangeKind $kind, Project $project, ?Agreement $about = null): Act
    {
        return Act::of($kind, $words, $by)->about($about ?? $project);
    }
}
