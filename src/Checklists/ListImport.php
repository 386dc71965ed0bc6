<?php

declare(strict_types=1);

namespace Telamon\Checklists;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\ChecklistTemplate;
use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Checklists\ChecklistReader;
use Telamon\Core\Checklists\InvalidChecklist;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Record\FreeKey;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Takes checklists in from a file: all of them, or where anything is wrong, none. */
final readonly class ListImport
{
    public function __construct(private EntityManagerInterface $em, private Changes $changes, private Lists $lists, private ListFile $file, private ChecklistReader $reader)
    {
    }

    /**
     * @return array{added: list<string>, changed: list<string>, wrong: list<string>} what would come of it, or came of it
     *
     * @throws Refusal where it is not tried only and something is wrong
     */
    public function take(string $text, bool $dry, Staff $staff): array
    {
        [$parts, $wrong] = $this->file->read($text);
        $there = [];
        foreach ($this->em->getRepository(ChecklistTemplate::class)->findAll() as $kept) {
            $there[$kept->key] = $kept;
        }
        $lists = [];
        foreach ($parts as ['at' => $at, 'list' => $data]) {
            $list = $this->one($at, $data, array_keys($there), $wrong);
            if (null !== $list && isset($lists[$list->key])) {
                $wrong[] = "$at: the key {$list->key} stands twice.";
            } elseif (null !== $list) {
                $lists[$list->key] = $list;
            }
        }
        if ([] === $wrong) {
            try {
                $this->lists->refuseMisfits(array_values($lists));
            } catch (InvalidChecklist $error) {
                $wrong[] = $error->getMessage();
            }
        }
        $told = [
            'added' => array_values(array_map(static fn (Checklist $list): string => $list->name, array_diff_key($lists, $there))),
            'changed' => array_values(array_map(static fn (Checklist $list): string => $list->name, array_intersect_key($lists, $there))),
            'wrong' => $wrong,
        ];
        if ($dry) {
            return $told;
        }
        if ([] !== $wrong || [] === $lists) {
            throw new InvalidInput('text', ($wrong[0] ?? 'The file holds no checklists.').' Nothing was taken in.');
        }
        $this->changes->carryOut(Act::of(ChangeKind::Settings, 'took in checklists from a file', $staff), function () use ($lists, $there): void {
            foreach ($lists as $key => $list) {
                if (isset($there[$key])) {
                    $there[$key]->become($list);
                    $there[$key]->retire(false);
                } else {
                    $this->em->persist(new ChecklistTemplate($list));
                }
            }
        });

        return $told;
    }

    /**
     * @param array<array-key, mixed> $data
     * @param list<string> $taken
     * @param list<string> $wrong where and why, added to
     */
    private function one(string $at, array $data, array $taken, array &$wrong): ?Checklist
    {
        $lines = \is_array($data['lines'] ?? null) ? $data['lines'] : [];
        $name = \is_string($data['name'] ?? null) ? $data['name'] : '';
        if (!\is_string($data['key'] ?? null) || '' === $data['key']) {
            $data['key'] = FreeKey::of($name, $taken);
        }
        try {
            return $this->reader->read($data);
        } catch (InvalidChecklist $error) {
            $item = 1 === preg_match('/^items\.(\d+)\.?(.*)$/D', $error->path, $part) ? (int) $part[1] : null;
            $where = null !== $item && \is_int($lines[$item] ?? null)
                ? "Line {$lines[$item]}"
                : $at.('' === $name ? '' : " “{$name}”").(null === $item ? '' : ', item '.($item + 1));
            $wrong[] = "$where: {$error->getMessage()}";

            return null;
        }
    }
}
