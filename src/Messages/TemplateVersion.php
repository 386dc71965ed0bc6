<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;
use Telamon\Staff\WrittenWith;

/** What a template said before it was changed. */
#[ORM\Entity]
#[WrittenWith(Permission::Write)]
#[ORM\Table(name: 'message_template_version')]
class TemplateVersion implements PartOf
{
    use Setting;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Column]
    public readonly int $version;

    /**
     * @var array<string, mixed> as TemplateText
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(type: 'json')]
    public array $text;

    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly MessageTemplate $template,
        #[ORM\ManyToOne]
        public readonly ?Staff $staff,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $until,
    ) {
        $this->id = Ids::next();
        $this->version = $template->version;
        $this->text = $template->text()->toArray();
    }

    public static function partKind(): string
    {
        return 'text';
    }

    public function recordLabel(): string
    {
        return "{$this->template->name}, version {$this->version}";
    }
}
