<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Core\Quotes\Content;
use Telamon\Core\Quotes\ContentReader;
use Telamon\Core\Quotes\QuoteLine;
use Telamon\Database\Ids;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;
use Telamon\Staff\Permission;
use Telamon\Staff\WrittenWith;

/** Lines, sums and words that a quote may begin from, under a name. */
#[ORM\Entity]
#[WrittenWith(Permission::Quote)]
class QuoteTemplate implements PartOf
{
    use Setting;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Version, ORM\Column(type: 'integer')]
    public int $version = 1;

    /**
     * @var array<string, mixed> as QuoteContent in api/openapi.yaml
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json')]
    public array $content = [];

    public function __construct(
        #[ORM\Column(length: 100, unique: true)]
        public readonly string $name,
        Content $content,
    ) {
        $this->id = Ids::next();
        $this->say($content);
    }

    /** What one client answered is no part of it: not where a line came from, and no line that is an answer itself. */
    public function say(Content $content): void
    {
        $lines = [];
        foreach ($content->lines as $line) {
            if ('' !== $line->code || '' === $line->from) {
                $lines[$line->key] = $line;
            }
        }
        $kept = array_map(
            static fn (QuoteLine $line): array => ['from' => '', 'instead' => isset($lines[$line->instead]) ? $line->instead : ''] + $line->toArray(),
            array_values($lines),
        );
        $this->content = ['lines' => $kept, 'reason' => '', 'attachments' => []] + $content->toArray();
    }

    public function content(): Content
    {
        return (new ContentReader())->read($this->content);
    }

    public static function partKind(): string
    {
        return 'quote template';
    }

    public function recordLabel(): string
    {
        return $this->name;
    }
}
