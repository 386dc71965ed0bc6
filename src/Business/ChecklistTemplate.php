<?php

declare(strict_types=1);

namespace Telamon\Business;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Checklists\ChecklistReader;
use Telamon\Core\Checklists\InvalidChecklist;
use Telamon\Database\Ids;
use Telamon\Record\Journaled;
use Telamon\Record\KnownAs;
use Telamon\Record\Names;
use Telamon\Staff\Permission;
use Telamon\Staff\WrittenWith;

/** A checklist as kept: the base one joins every project, an add-on those of its services and of rules that name it. Its versions are in the journal. */
#[ORM\Entity]
#[KnownAs('checklist', 'key')]
#[WrittenWith(Permission::Rule)]
class ChecklistTemplate implements Journaled
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** Counted up with every change: tasks say of which one they came. */
    #[ORM\Version, ORM\Column(type: 'integer', options: ['default' => 1])]
    public int $version = 1;

    /**
     * No longer to be chosen; what came of it stays.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(options: ['default' => false])]
    public bool $retired = false;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 100)]
    public string $name;

    /** @phpstan-readonly-allow-private-mutation */
    #[ORM\Column(length: 500, options: ['default' => ''])]
    public string $purpose = '';

    /**
     * Key of a checklist, a stroke and its item's; empty for one that stands after those before it.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[ORM\Column(length: 121, options: ['default' => ''])]
    public string $joinsAfter = '';

    /**
     * @var list<array<string, mixed>> as ChecklistItem in the contract
     *
     * @phpstan-readonly-allow-private-mutation
     */
    #[Names('staff', 'service', 'checklist', 'visit-type')]
    #[ORM\Column(type: 'json')]
    public array $items;

    #[ORM\Column(name: 'code', length: 60, unique: true, options: ['default' => ''])]
    public readonly string $key;

    public function __construct(Checklist $checklist, #[ORM\Column] public readonly bool $isBase = false)
    {
        $this->id = Ids::next();
        $this->key = $checklist->key;
        $this->become($checklist);
    }

    public function become(Checklist $checklist): void
    {
        $content = $checklist->toArray();
        $this->name = $checklist->name;
        $this->purpose = $checklist->purpose;
        $this->joinsAfter = $this->isBase ? '' : $checklist->joinsAfter;
        $this->items = $content['items'];
    }

    public function retire(bool $retired): void
    {
        $this->retired = $retired;
    }

    public function toChecklist(): Checklist
    {
        try {
            return (new ChecklistReader())->read(
                ['key' => $this->key, 'name' => $this->name, 'purpose' => $this->purpose, 'joinsAfter' => $this->joinsAfter, 'items' => $this->items],
                $this->version,
            );
        } catch (InvalidChecklist $error) {
            throw new \LogicException("the checklist {$this->name} is kept and cannot be read: {$error->path} {$error->getMessage()}", 0, $error);
        }
    }

    public function recordKind(): string
    {
        return 'checklist';
    }

    public function recordLabel(): string
    {
        return $this->name;
    }

    public static function isReadWithClient(): bool
    {
        return false;
    }

    public static function pathOf(string $id, ?string $client, ?string $project): ?string
    {
        return "/checklists/$id";
    }

    public function recordContext(): array
    {
        return ['client' => null, 'project' => null];
    }
}
