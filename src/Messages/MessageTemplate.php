<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Core\Messages\DocumentReader;
use Telamon\Core\Messages\FromMustache;
use Telamon\Core\Messages\MessageDocument;
use Telamon\Core\Replies\Asked;
use Telamon\Database\Ids;
use Telamon\Record\KnownAs;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;
use Telamon\Staff\Permission;
use Telamon\Staff\WrittenWith;

/** A message with merge fields. Its earlier versions are kept (TemplateVersion). */
#[ORM\Entity]
#[KnownAs('template', 'key')]
#[WrittenWith(Permission::Write)]
class MessageTemplate implements PartOf
{
    use Setting;

    /** Those that ship and only tell something. */
    private const ASK_NOTHING = [
        'confirmation',
        'copy',
        'booked',
        'series',
        'moved',
        'cancelled',
        'reminder',
        'on-the-way',
        'missed',
        'choose-time',
        'fill-in',
        'arrived',
        'confirm-address',
        'quote-accepted',
        'quote-yes',
        'added',
        'told',
        'notice',
        'notices',
        'wish',
        'quote-answered',
        'quote-drafted',
        'quote-reply',
    ];

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /**
     * The first words of it, as text with fields; what it says is the document.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 200)]
    public string $subject;

    /**
     * @var array<string, mixed> as the editor keeps it; see MessageDocument
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '{}'])]
    public array $document;

    /**
     * The same as a text message; empty for none.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'text', options: ['default' => ''])]
    public string $textMessage = '';

    /**
     * Files, and names of what is made at sending; see Enclosed.
     *
     * @var list<string>
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json', options: ['default' => '[]'])]
    public array $papers = [];

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 254, options: ['default' => ''])]
    public string $answersTo = '';

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 100, options: ['default' => ''])]
    public string $consent = '';

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(options: ['default' => false])]
    public bool $textFirst = false;

    /** @phpstan-readonly-allow-private-mutation what it asks of whoever reads it */
    #[ORM\Column(length: 10, enumType: Asked::class, options: ['default' => 'decision'])]
    public Asked $asks = Asked::Decision;

    /**
     * Counted up with every change.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => 1])]
    public int $version = 1;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(options: ['default' => false])]
    public bool $retired = false;

    /**
     * Whether what sends it by itself sends nothing.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => false])]
    public bool $off = false;

    /**
     * @param string $subject with {{fields}}; each of them may be empty
     * @param string $body text with fields and sections (Mustache)
     */
    public function __construct(
        #[ORM\Column(name: 'code', length: 40, unique: true)]
        public readonly string $key,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 100)]
        public string $name,
        string $subject,
        string $body,
    ) {
        $this->id = Ids::next();
        $this->asks = \in_array($key, self::ASK_NOTHING, true) ? Asked::Nothing : Asked::Decision;
        $this->subject = FromMustache::line($subject);
        $this->document = FromMustache::document(str_replace('{{first_name}}', '{{first_name|there}}', $body))->toArray();
    }

    public function says(): MessageDocument
    {
        return (new DocumentReader())->read($this->document);
    }

    /** @return list<string> names of the merge fields that it may hold */
    public function fields(): array
    {
        return TemplateFields::of($this->key);
    }

    public function purpose(): Purpose
    {
        return TemplateFields::purpose($this->key);
    }

    public function become(TemplateText $text): void
    {
        $this->begin($text);
        ++$this->version;
    }

    public function begin(TemplateText $text): void
    {
        $this->name = $text->name;
        $this->subject = $text->subject;
        $this->document = $text->document->toArray();
        $this->textMessage = $text->textMessage;
        $this->papers = $text->enclosed->papers;
        $this->answersTo = $text->enclosed->answersTo;
        $this->consent = $text->enclosed->consent;
        $this->textFirst = $text->enclosed->textFirst;
        $this->asks = $text->enclosed->asks;
    }

    public function turn(bool $goes): void
    {
        $this->off = !$goes;
    }

    public function retire(bool $retired): void
    {
        $this->retired = $retired;
    }

    public function text(): TemplateText
    {
        return new TemplateText(
            $this->name,
            $this->subject,
            $this->says(),
            $this->textMessage,
            new Enclosed($this->papers, $this->answersTo, $this->consent, $this->textFirst, $this->asks),
        );
    }

    public static function partKind(): string
    {
        return 'text';
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return "/messages/templates/$id";
    }

    public function recordLabel(): string
    {
        return $this->name;
    }
}
