<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;

/** A message with merge fields. */
#[ORM\Entity]
class MessageTemplate implements PartOf
{
    use Setting;

    /** What texts about an appointment may name. */
    private const VISIT = ['first_name', 'visit', 'when', 'when_here', 'place', 'with', 'says', 'price', 'link', 'until', 'coordinator'];

    /** What texts about a quote may name. */
    private const QUOTE = ['first_name', 'client', 'quote', 'project', 'total', 'deposit', 'valid_until', 'link', 'lead'];

    /** What each text may name; all may name the business and its phone. */
    private const FIELDS = [
        'confirmation' => ['first_name', 'service', 'service_words', 'reference', 'lead', 'ready_by', 'coordinator'],
        'copy' => ['first_name', 'reference', 'answers'],
        'added' => ['first_name', 'client', 'reference', 'project', 'service', 'phone', 'link'],
        'told' => ['first_name', 'client', 'why', 'service', 'project', 'phone', 'place', 'lead', 'notes', 'link'],
        'booked' => self::VISIT,
        'series' => [...self::VISIT, 'count', 'dates'],
        'moved' => self::VISIT,
        'cancelled' => self::VISIT,
        'offered' => self::VISIT,
        'reminder' => self::VISIT,
        'on-the-way' => self::VISIT,
        'missed' => self::VISIT,
        'quote' => self::QUOTE,
        'quote-nudge' => self::QUOTE,
        'quote-accepted' => [...self::QUOTE, 'deposit_due'],
        'quote-answered' => [...self::QUOTE, 'what', 'words'],
        'quote-reply' => [...self::QUOTE, 'question', 'words'],
        'agreement' => ['first_name', 'client', 'address', 'project', 'asset', 'ready_by', 'lead', 'today'],
        'agreement-sign' => ['first_name', 'title', 'project', 'lead', 'link'],
        'agreement-signed' => ['first_name', 'title', 'project', 'lead', 'link'],
        'choose-time' => ['first_name', 'visit', 'link', 'coordinator'],
        'wish' => ['first_name', 'client', 'visit', 'when', 'words', 'phone', 'link'],
        'notice' => ['first_name', 'client', 'service', 'project', 'asset', 'place', 'ready_by', 'notes', 'reference', 'link'],
    ];

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    public function __construct(
        #[ORM\Column(name: 'code', length: 40, unique: true)]
        public readonly string $key,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 100)]
        public string $name,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 200)]
        public string $subject,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(type: 'text')]
        public string $body,
    ) {
        $this->id = Ids::next();
    }

    /** @return list<string> names of the merge fields that it may hold */
    public function fields(): array
    {
        return [...self::FIELDS[$this->key] ?? ['first_name'], 'business', 'business_phone'];
    }

    public function become(string $name, string $subject, string $body): void
    {
        $this->name = $name;
        $this->subject = $subject;
        $this->body = $body;
    }

    public static function partKind(): string
    {
        return 'text';
    }

    public function recordLabel(): string
    {
        return $this->name;
    }
}
