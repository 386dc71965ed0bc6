<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Clients\Client;
use Telamon\Core\Replies\MailOrigin;
use Telamon\Core\Replies\Meaning;
use Telamon\Core\Replies\ReplyReading;
use Telamon\Database\Ids;
use Telamon\Projects\Project;
use Telamon\Record\Journaled;

/** A message that came in, with what it was read as. The whole of it is kept as a file. */
#[ORM\Entity]
#[ORM\Index(columns: ['received_at', 'id'])]
#[ORM\Index(columns: ['state', 'received_at'])]
#[ORM\Index(columns: ['client_id'])]
class Incoming implements Journaled
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 10, enumType: IncomingState::class)]
    public IncomingState $state = IncomingState::Open;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\ManyToOne]
    public ?Client $client = null;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\ManyToOne]
    public ?Project $project = null;

    /**
     * What it answers.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\ManyToOne]
    public ?Message $answers = null;

    /**
     * The arrival that it became; empty for none.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 36, options: ['default' => ''])]
    public string $submissionId = '';

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 10, enumType: Meaning::class)]
    public Meaning $says = Meaning::Other;

    /**
     * Per cent.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => 0])]
    public int $confidence = 0;

    /**
     * @var list<string> the words that the reading rests on
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $because = [];

    /**
     * @var list<string> what came of it, in words
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $done = [];

    /**
     * What came with it: files, and what of them is not kept.
     *
     * @var list<array{name: string, type: string, size: int, why: string}>
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $parts = [];

    /** @phpstan-readonly-allow-private-mutation SHA-256 of its bytes as they came; empty where they were not kept */
    #[ORM\Column(length: 64, options: ['default' => ''])]
    public string $original = '';

    /** @phpstan-readonly-allow-private-mutation whether it is known to come from whoever it says */
    #[ORM\Column(options: ['default' => true])]
    public bool $believed = true;

    /** @phpstan-readonly-allow-private-mutation whether it may come from a machine */
    #[ORM\Column(options: ['default' => false])]
    public bool $unsure = false;

    /**
     * @param string $messageId by which the same one is known again
     * @param string $said without what was repeated and without the signature
     * @param string $whole as much of it as is shown
     */
    public function __construct(
        #[ORM\Column(length: 10)]
        public readonly string $channel,
        #[ORM\Column(length: 10, enumType: MailOrigin::class)]
        public readonly MailOrigin $origin,
        #[ORM\Column(length: 250, unique: true)]
        public readonly string $messageId,
        #[ORM\Column(length: 254)]
        public readonly string $fromAddress,
        #[ORM\Column(length: 200)]
        public readonly string $fromName,
        #[ORM\Column(length: 300)]
        public readonly string $subject,
        #[ORM\Column(type: 'text')]
        public readonly string $said,
        #[ORM\Column(type: 'text')]
        public readonly string $whole,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $receivedAt,
        ?string $id = null,
    ) {
        $this->id = $id ?? Ids::next();
    }

    /**
     * @param list<array{name: string, type: string, size: int, why: string}> $parts
     * @param string $original SHA-256
     */
    public function came(array $parts, string $original, bool $believed, bool $unsure): void
    {
        $this->parts = $parts;
        $this->original = $original;
        $this->believed = $believed;
        $this->unsure = $unsure;
    }

    /** @phpstan-impure it may have been read again under the lock */
    public function isOpen(): bool
    {
        return IncomingState::Open === $this->state;
    }

    /** Nothing is done by itself; somebody looks. */
    public function waitBecause(string $why): void
    {
        $this->done = [$why];
    }

    public function belong(?Client $client, ?Project $project, ?Message $answers): void
    {
        $this->client = $client;
        $this->project = $project;
        $this->answers = $answers;
    }

    public function read(ReplyReading $reading): void
    {
        $this->says = $reading->says;
        $this->confidence = (int) round(100 * $reading->confidence);
        $this->because = $reading->because;
    }

    /** Somebody says what it means. */
    public function means(Meaning $meaning): void
    {
        $this->says = $meaning;
    }

    public function arrivedAs(string $submissionId): void
    {
        $this->submissionId = $submissionId;
        $this->state = IncomingState::Done;
    }

    /** @param list<string> $done what came of it, in words */
    public function beDone(IncomingState $state, array $done): void
    {
        $this->state = $state;
        $this->done = $done;
    }

    public function recordKind(): string
    {
        return 'reply';
    }

    public function recordLabel(): string
    {
        return mb_substr('' === $this->subject ? "message from {$this->fromName}" : "“{$this->subject}” from {$this->fromName}", 0, 300);
    }

    public static function isReadWithClient(): bool
    {
        return false;
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return "/messages/in/$id";
    }

    public function recordContext(): array
    {
        return ['client' => $this->client?->id, 'project' => $this->project?->id];
    }
}
