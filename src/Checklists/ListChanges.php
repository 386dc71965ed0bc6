<?php

declare(strict_types=1);

namespace Telamon\Checklists;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\ChecklistTemplate;
use Telamon\Business\Service;
use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Checklists\ChecklistReader;
use Telamon\Core\Checklists\InvalidChecklist;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Record\ChangedMeanwhile;
use Telamon\Record\FreeKey;
use Telamon\Record\Hangs;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Makes, changes and retires checklists. */
final readonly class ListChanges
{
    private const MOST = 100;

    public function __construct(private EntityManagerInterface $em, private Changes $changes, private Lists $lists, private ChecklistReader $reader, private Hangs $hangs)
    {
    }

    /**
     * @param array<array-key, mixed> $body
     *
     * @throws Refusal
     */
    public function check(array $body, string $key, int $version = 1): Checklist
    {
        try {
            $list = $this->reader->read(['key' => $key] + $body, $version);
            $this->lists->refuseMisfits([$list]);

            return $list;
        } catch (InvalidChecklist $error) {
            throw new InvalidInput($error->path, $error->getMessage());
        }
    }

    /**
     * @param array<array-key, mixed> $body
     *
     * @throws Refusal
     */
    public function make(array $body, Staff $staff): ChecklistTemplate
    {
        $name = \is_string($body['name'] ?? null) ? $body['name'] : '';
        $given = \is_string($body['key'] ?? null) && '' !== $body['key'] ? $body['key'] : null;

        return $this->changes->carryOut($this->words("made the checklist $name", $staff), function () use ($body, $name, $given): ChecklistTemplate {
            $there = $this->em->getRepository(ChecklistTemplate::class)->findAll();
            if (\count($there) >= self::MOST) {
                throw new InvalidInput('name', 'There are '.self::MOST.' checklists already.');
            }
            $taken = array_map(static fn (ChecklistTemplate $one): string => $one->key, $there);
            if (null !== $given && \in_array($given, $taken, true)) {
                throw new InvalidInput('key', "There is a checklist with the key $given already.");
            }
            $this->refuseSameName($name, null);
            $kept = new ChecklistTemplate($this->check($body, $given ?? FreeKey::of($name, $taken)));
            $this->em->persist($kept);

            return $kept;
        });
    }

    /**
     * @param array<array-key, mixed> $body with the version that was looked at
     *
     * @throws Refusal
     */
    public function change(ChecklistTemplate $kept, array $body, Staff $staff): void
    {
        $this->changes->carryOut($this->words("changed the checklist {$kept->name}", $staff, $kept)->looking($kept), function () use ($kept, $body): void {
            if (($body['version'] ?? null) !== $kept->version) {
                throw new ChangedMeanwhile('Somebody else has changed this checklist. Look at it again; nothing was overwritten.');
            }
            $list = $this->check($body, $kept->key);
            $this->refuseSameName($list->name, $kept);
            $kept->become($list);
        });
    }

    /** @throws Refusal where others need it */
    public function retire(ChecklistTemplate $kept, bool $retired, Staff $staff): void
    {
        $this->changes->carryOut($this->words(
            ($retired ? 'retired the checklist ' : 'brought back the checklist ').$kept->name,
            $staff,
            $kept,
        ), function () use ($kept, $retired): void {
            if ($retired) {
                $this->refuseNeeded($kept);
            }
            $kept->retire($retired);
        });
    }

    private function refuseNeeded(ChecklistTemplate $kept): void
    {
        if ($kept->isBase) {
            throw new InvalidInput('', 'Every new project begins with this one: it can be emptied, not removed.');
        }
        $service = $this->em->getRepository(Service::class)->findOneBy(['addOn' => $kept, 'retired' => false]);
        if (null !== $service) {
            throw new InvalidInput('', "It comes with {$service->name}. Choose another checklist there first.");
        }
        foreach ($this->lists->all() as $list) {
            $named = [$list->joinsAfter, ...array_merge(...array_map(static fn ($item): array => $item->waitsFor, $list->items))];
            if ($list->key !== $kept->key && [] !== array_filter($named, static fn (string $key): bool => str_starts_with($key, "{$kept->key}/"))) {
                throw new InvalidInput('', "“{$list->name}” joins it or waits for an item of it.");
            }
        }
        $naming = $this->hangs->on($kept);
        if ([] !== $naming) {
            throw new InvalidInput('', 'It is named by '.implode(', ', $naming).'. Choose another checklist there first.');
        }
    }

    private function refuseSameName(string $name, ?ChecklistTemplate $self): void
    {
        foreach ($this->lists->kept() as $one) {
            if ($one !== $self && mb_strtolower($one->name) === mb_strtolower(trim($name))) {
                throw new InvalidInput('name', "There is a checklist “{$one->name}” already.");
            }
        }
    }

    private function words(string $words, Staff $staff, ?ChecklistTemplate $about = null): Act
    {
        return Act::of(ChangeKind::Settings, $words, $staff)->about($about);
    }
}
