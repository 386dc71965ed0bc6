<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Clients\Asset;
use Telamon\Clients\Client;
use Telamon\Core\Quotes\Content;
use Telamon\Core\Quotes\ContentReader;
use Telamon\Core\Quotes\Currency;
use Telamon\Core\Quotes\Totals;
use Telamon\Database\Ids;
use Telamon\Projects\Project;
use Telamon\Record\StandsWithMail;
use Telamon\Record\TakenBack;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;
use Telamon\Staff\WrittenWith;

/** A quote, in one revision. Once it is sent what it says stays as it is: changed, it is another revision. */
#[ORM\Entity]
#[WrittenWith(Permission::Quote)]
#[ORM\Index(columns: ['state', 'valid_until'], name: 'quote_state')]
#[ORM\UniqueConstraint(name: 'quote_number', columns: ['number', 'revision'])]
class Quote implements StandsWithMail, TakenBack
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Version, ORM\Column(type: 'integer')]
    public int $version = 1;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 10, enumType: QuoteState::class)]
    public QuoteState $state = QuoteState::Draft;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\ManyToOne]
    public ?Asset $asset = null;

    /** @phpstan-readonly-allow-private-mutation day on which it was sent */
    #[ORM\Column(type: 'date_immutable', nullable: true)]
    public ?\DateTimeImmutable $issuedOn = null;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $sentAt = null;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $openedAt = null;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(options: ['default' => 0])]
    public int $openedTimes = 0;

    /** @phpstan-readonly-allow-private-mutation when it was accepted, declined, or ran out */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $answeredAt = null;

    /** @phpstan-readonly-allow-private-mutation why it was declined */
    #[ORM\Column(length: 500, options: ['default' => ''])]
    public string $reason = '';

    /** @phpstan-readonly-allow-private-mutation when the client was reminded */
    #[ORM\Column(nullable: true)]
    public ?\DateTimeImmutable $nudgedAt = null;

    /**
     * Questions of the client, the newest last.
     *
     * @var list<array{at: string, words: string, answer?: string, answeredAt?: string}>
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $questions = [];

    /** @phpstan-readonly-allow-private-mutation total with tax, decimal as text */
    #[ORM\Column(length: 24, options: ['default' => '0'])]
    public string $total = '0';

    /** @phpstan-readonly-allow-private-mutation how many lines are to price */
    #[ORM\Column(options: ['default' => 0])]
    public int $toPrice = 0;

    /** @var array<string, mixed> */
    #[ORM\Column(type: 'json')]
    private array $content = [];

    private ?Content $read = null;

    /** @var array<string, mixed>|null what was read: another revision of the row may have been loaded since */
    private ?array $readOf = null;

    public function __construct(
        #[ORM\Column(length: 20)]
        public readonly string $number,
        #[ORM\Column]
        public readonly int $revision,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public Client $client,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        public ?Project $project,
        #[ORM\Column(length: 36, nullable: true)]
        public readonly ?string $submissionId,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public Staff $lead,
        #[ORM\Column(length: 3)]
        public readonly string $currency,
        #[ORM\Column]
        public readonly bool $gross,
        Content $content,
        /** @phpstan-readonly-allow-private-mutation last day on which it can be accepted */
        #[ORM\Column(type: 'date_immutable')]
        public \DateTimeImmutable $validUntil,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $madeAt,
        ?string $id = null,
    ) {
        $this->id = $id ?? Ids::next();
        $this->asset = $project?->asset;
        $this->say($content);
    }

    public function content(): Content
    {
        if (null === $this->read || $this->readOf !== $this->content) {
            $this->read = (new ContentReader())->read($this->content);
            $this->readOf = $this->content;
        }

        return $this->read;
    }

    public function totals(): Totals
    {
        return $this->content()->totals(Currency::of($this->currency), $this->gross);
    }

    public function say(Content $content): void
    {
        $this->content = $content->toArray();
        $this->read = $content;
        $this->readOf = $this->content;
        $this->total = (string) $this->totals()->total;
        $this->toPrice = \count($content->toPrice());
    }

    public function holdUntil(\DateTimeImmutable $day): void
    {
        $this->validUntil = $day;
    }

    public function beLedBy(Staff $lead): void
    {
        $this->lead = $lead;
    }

    /** @param \DateTimeImmutable $today local day */
    public function leave(\DateTimeImmutable $now, \DateTimeImmutable $today): void
    {
        $this->state = QuoteState::Sent;
        $this->sentAt = $now;
        $this->issuedOn = $today;
    }

    public function beOpened(\DateTimeImmutable $now): void
    {
        ++$this->openedTimes;
        $this->openedAt = $now;
        $this->state = QuoteState::Sent === $this->state ? QuoteState::Opened : $this->state;
    }

    public function beAnswered(QuoteState $state, \DateTimeImmutable $now, string $reason = ''): void
    {
        $this->state = $state;
        $this->answeredAt = $now;
        $this->reason = $reason;
    }

    public function beReplaced(): void
    {
        $this->state = QuoteState::Replaced;
    }

    public function nudge(\DateTimeImmutable $now): void
    {
        $this->nudgedAt = $now;
    }

    public function ask(string $words, \DateTimeImmutable $now): void
    {
        $this->questions[] = ['at' => $now->format(\DATE_RFC3339), 'words' => $words];
    }

    /** @param int $question its place among the questions */
    public function reply(int $question, string $words, \DateTimeImmutable $now): void
    {
        $questions = $this->questions;
        $questions[$question] = ['answer' => $words, 'answeredAt' => $now->format(\DATE_RFC3339)] + $questions[$question];
        $this->questions = $questions;
    }

    /** Whether a question waits for an answer. */
    public function isAsked(): bool
    {
        return [] !== array_filter($this->questions, static fn (array $one): bool => !isset($one['answer']));
    }

    /** “Q-0231”, or “Q-0231/2” for a later revision. */
    public function shown(): string
    {
        return $this->number.(1 === $this->revision ? '' : "/{$this->revision}");
    }

    public function recordKind(): string
    {
        return 'quote';
    }

    public function recordLabel(): string
    {
        return "{$this->shown()}, {$this->client->name()}";
    }

    public static function isReadWithClient(): bool
    {
        return false;
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return "/quotes/$id";
    }

    public function recordContext(): array
    {
        return ['client' => $this->client->id, 'project' => $this->project?->id];
    }

    public function staysBecause(): ?string
    {
        return QuoteState::Accepted === $this->state ? 'it is accepted and signed' : null;
    }

    /** What the client has is no longer good; what nobody has seen is withdrawn. */
    public function stop(): void
    {
        $this->state = QuoteState::Replaced;
    }

    public function goOn(): ?object
    {
        return null;
    }
}
