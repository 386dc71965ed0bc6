<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Clients\Client;
use Telamon\Database\Ids;
use Telamon\Projects\Project;
use Telamon\Record\TakenBack;
use Telamon\Record\Untold;

/** A message to a client or to staff, as it is or will be sent. */
#[ORM\Entity]
#[ORM\Index(columns: ['queued_at', 'id'])]
#[ORM\Index(columns: ['submission_id'])]
class Message implements TakenBack
{
    private const AWAITED = 'being-drawn';
    /** What nobody asked for says how it ends; common practice for text messages. */
    private const STOP = "\nAnswer STOP to end this.";

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 10, enumType: MessageState::class)]
    public MessageState $state = MessageState::Queued;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $sentAt = null;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 500)]
    public string $failure = '';

    /**
     * What it rests on, as the plan said when it was made.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 32, options: ['default' => ''])]
    public string $says = '';

    /**
     * Until then undo can stop it.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $leavesAt = null;

    /**
     * An iCalendar object that goes with it (RFC 5545), empty for none.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'text', options: ['default' => ''])]
    public string $calendar = '';

    /**
     * The same as a fragment of HTML; empty where the text is all there is.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'text', options: ['default' => ''])]
    public string $html = '';

    /**
     * On what ground it is sent.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 10, enumType: Ground::class, options: ['default' => 'contract'])]
    public Ground $ground = Ground::Contract;

    /**
     * Message-ID of the one that came in and that it answers; empty for none.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 250, options: ['default' => ''])]
    public string $inReplyTo = '';

    /**
     * What a held message lacks: the values it has, and the fields that nothing fills.
     *
     * @var array{values?: array<string, string>, gaps?: list<string>, text?: array<string, mixed>}
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '{}'])]
    public array $lacks = [];

    /**
     * What goes with it: ids of files, and names of what is made when it leaves (see EnclosesPapers).
     *
     * @var list<string>
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $papers = [];

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 5, enumType: Channel::class, options: ['default' => 'mail'])]
    public Channel $channel = Channel::Mail;

    /** @phpstan-readonly-allow-private-mutation how often it was tried in vain since it was queued */
    #[ORM\Column(options: ['default' => 0]), Untold]
    public int $tries = 0;

    /** @phpstan-readonly-allow-private-mutation since when it is tried in vain */
    #[ORM\Column(nullable: true), Untold]
    public ?\DateTimeImmutable $failingSince = null;

    /**
     * Address that answers go to; empty for the one by which they find their way back.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 254, options: ['default' => ''])]
    public string $answersTo = '';

    /**
     * Name of the consent that it needs; empty for none.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 100, options: ['default' => ''])]
    public string $consent = '';

    public function __construct(
        #[ORM\Column(length: 20)]
        public readonly string $kind,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 254)]
        public string $toAddress,
        #[ORM\Column(length: 200)]
        public readonly string $toName,
        #[ORM\Column(length: 254)]
        public readonly string $fromAddress,
        #[ORM\Column(length: 200)]
        public readonly string $fromName,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 200)]
        public string $subject,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(type: 'text')]
        public string $text,
        #[ORM\Column(length: 40)]
        public readonly string $template,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        public ?Client $client,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        public ?Project $project,
        #[ORM\Column(length: 36, nullable: true)]
        public readonly ?string $submissionId,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $queuedAt,
        ?string $id = null,
    ) {
        $this->id = $id ?? Ids::next();
    }

    /**
     * @param string $says a digest of what it rests on
     * @param \DateTimeImmutable $leavesAt not before that
     */
    public function hold(string $says, \DateTimeImmutable $leavesAt): void
    {
        $this->says = $says;
        $this->leavesAt = $leavesAt;
    }

    /** What it says, the same as text and as HTML. */
    public function say(string $subject, string $text, string $html): void
    {
        $this->subject = $subject;
        $this->text = $text;
        $this->html = $html;
    }

    /**
     * It waits for a person.
     *
     * @param array{values?: array<string, string>, gaps?: list<string>, text?: array<string, mixed>} $lacks
     */
    public function wait(string $why, array $lacks = []): void
    {
        $this->state = MessageState::Held;
        $this->failure = $why;
        $this->lacks = $lacks;
    }

    /** @param \DateTimeImmutable $leavesAt not before that */
    public function letGo(\DateTimeImmutable $leavesAt): void
    {
        $this->state = MessageState::Queued;
        $this->failure = '';
        $this->lacks = [];
        $this->leavesAt = $leavesAt;
    }

    public function rest(Ground $ground): void
    {
        $this->ground = $ground;
    }

    /** @param string $messageId of the one that came in */
    public function answer(string $messageId): void
    {
        $this->inReplyTo = $messageId;
    }

    public function enclose(string $calendar): void
    {
        $this->calendar = $calendar;
    }

    /** @param string $attachment id of the file */
    public function encloseFile(string $attachment): void
    {
        $this->papers = [...$this->papers, $attachment];
    }

    /** What a template says, by the way that it goes. */
    public function put(Written $written): void
    {
        if ($this->channel->isLetter()) {
            $this->say($written->subject, $written->text, $written->html);
        } else {
            $this->say(self::begins($written->textMessage), $written->textMessage.($this->ground->canBeStopped() ? self::STOP : ''), '');
        }
    }

    /** A text has no subject: lists show how it begins. */
    public static function begins(string $text): string
    {
        return mb_strimwidth(trim((string) preg_replace('/\s+/u', ' ', $text)), 0, 60, '…');
    }

    /** What does not go along that way stays behind. */
    public function goBy(Channel $channel): void
    {
        $this->channel = $channel;
        if (!$channel->isLetter()) {
            $this->html = '';
        }
        if (!$channel->takesFiles()) {
            $this->papers = [];
        }
    }

    /** Takes on what its template sends along. */
    public function carry(Enclosed $enclosed): void
    {
        $this->papers = [...$this->papers, ...$enclosed->papers];
        $this->answersTo = $enclosed->answersTo;
        $this->consent = $enclosed->consent;
        if ('' !== $enclosed->consent) {
            $this->ground = Ground::Consent;
        }
    }

    public function sendAgain(): void
    {
        $this->state = MessageState::Queued;
        $this->failure = '';
        $this->tries = 0;
        $this->failingSince = null;
    }

    public function awaitPaper(): void
    {
        $this->papers = [...$this->papers, self::AWAITED];
    }

    /** Whether something that goes with it is still being drawn: it does not leave before. */
    public function awaitsPaper(): bool
    {
        return \in_array(self::AWAITED, $this->papers, true);
    }

    public function paperIsThere(string $file): void
    {
        $this->papers = array_map(static fn (string $paper): string => self::AWAITED === $paper ? $file : $paper, $this->papers);
    }

    /** To another address, where the one before was refused. */
    public function goTo(string $address): void
    {
        $this->toAddress = $address;
    }

    public function fail(string $why): void
    {
        $this->becomes(MessageState::Failed, $why, null);
    }

    /** @param \DateTimeImmutable|null $sentAt null where it has not left */
    public function becomes(MessageState $state, string $failure, ?\DateTimeImmutable $sentAt): void
    {
        $this->state = $state;
        $this->failure = $failure;
        $this->sentAt = $sentAt;
    }

    public function recordKind(): string
    {
        return 'message';
    }

    public function recordLabel(): string
    {
        return "“{$this->subject}” to {$this->toName}";
    }

    public function staysBecause(): ?string
    {
        return match ($this->state) {
            MessageState::Sent => 'already sent; it cannot be recalled',
            MessageState::Sending => 'on its way',
            default => null,
        };
    }

    public function stop(): void
    {
        $this->state = MessageState::Cancelled;
    }

    public function goOn(): ?object
    {
        return MessageState::Queued === $this->state ? new SendMessage($this->id) : null;
    }

    public static function isReadWithClient(): bool
    {
        return false;
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return "/messages/$id";
    }

    public function recordContext(): array
    {
        return ['client' => $this->client?->id, 'project' => $this->project?->id];
    }
}
