<?php

declare(strict_types=1);

namespace Telamon\Checklists;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\ChecklistTemplate;
use Telamon\Business\StageEnd;
use Telamon\Core\Checklists\Checklist;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Projects\Project;
use Telamon\Record\RecordRef;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;
use Telamon\Tasks\Task;

/** What checklists do to projects that are under way: shown before it is done, done as one change. */
final readonly class Takeover
{
    private const MOST = 200;

    public function __construct(private EntityManagerInterface $em, private Changes $changes, private Lists $lists, private Joining $joining)
    {
    }

    /** @return array<string, array{open: int, behind: int}> open projects by key of the list, and how many of them came of an older version */
    public function counts(): array
    {
        /** @var list<array{code: string, open: int|string, behind: int|string}> $rows */
        $rows = $this->em->getConnection()->fetchAllAssociative(<<<'SQL'
            SELECT code, COUNT(*) AS open, SUM(newest < version AND left > 0) AS behind FROM (
                SELECT c.code, c.version, t.project_id, MAX(t.list_version) AS newest, SUM(t.finished_at IS NULL) AS left
                FROM task t JOIN project p ON p.id = t.project_id JOIN checklist_template c ON c.code = substr(t.item, 1, instr(t.item, '/') - 1)
                WHERE t.item <> '' AND p.outcome = 'open' GROUP BY c.code, c.version, t.project_id
            ) GROUP BY code
            SQL);
        $counts = [];
        foreach ($rows as $row) {
            $counts[$row['code']] = ['open' => (int) $row['open'], 'behind' => (int) $row['behind']];
        }

        return $counts;
    }

    /**
     * @param Checklist $list as it would be
     * @param bool $all whether those are looked at too that have this version already: a draft is newer than any
     *
     * @return list<array<string, mixed>> as BehindProject in the contract, only those that something would change
     */
    public function preview(Checklist $list, bool $all = false): array
    {
        $behind = [];
        $kept = $this->lists->all();
        foreach ($this->projects($list, $all) as $project) {
            $joined = $this->joining->join($project, $list, $kept)->toArray();
            if (!$all || [] !== $joined['added'] || [] !== $joined['removed'] || [] !== $joined['moved'] || [] !== $joined['turned']) {
                $behind[] = ['project' => RecordRef::of($project), 'client' => $project->client->name(), 'title' => $project->title] + $joined;
            }
        }
        // What the look did to the tasks is not kept.
        $this->em->clear();

        return $behind;
    }

    /** @return array<string, mixed> as JoinedTasks in the contract */
    public function previewOne(Project $project, Checklist $list): array
    {
        $joined = $this->joining->join($project, $list, $this->lists->all())->toArray();
        $this->em->clear();

        return $joined;
    }

    /**
     * @param list<string> $ids of projects
     *
     * @throws Refusal
     */
    public function takeOver(ChecklistTemplate $kept, array $ids, Staff $staff): void
    {
        $list = $kept->toChecklist();
        $this->carryOut("took over version {$kept->version} of {$kept->name}", $staff, function () use ($list, $ids): void {
            $kept = $this->lists->all();
            foreach ($this->projects($list, true) as $project) {
                if (\in_array($project->id, $ids, true)) {
                    $this->keep($project, $list, $kept);
                }
            }
        }, 'checklist', $kept->id, $kept->name);
    }

    /** @throws Refusal */
    public function add(Project $project, ChecklistTemplate $kept, Staff $staff): void
    {
        $this->carryOut(
            "added the checklist {$kept->name} to {$project->recordLabel()}",
            $staff,
            fn () => $this->keep($project, $kept->toChecklist(), $this->lists->all()),
            'project',
            $project->id,
            $project->recordLabel(),
        );
    }

    /** @param array<string, Checklist> $all */
    private function keep(Project $project, Checklist $list, array $all): void
    {
        $joined = $this->joining->join($project, $list, $all);
        foreach ($joined->added as $task) {
            $this->em->persist($task);
        }
        foreach ($joined->removed as $task) {
            $this->em->remove($task);
        }
    }

    /** @return list<Project> open ones that have tasks of the list */
    private function projects(Checklist $list, bool $all): array
    {
        $query = $this->em->createQueryBuilder()->select('p')->distinct()->from(Project::class, 'p')->join(Task::class, 't', 'WITH', 't.project = p')
            ->where('t.item LIKE :list')->andWhere('p.outcome = :open')->setParameter('list', "{$list->key}/%")->setParameter('open', StageEnd::Open)->orderBy('p.openedAt', 'DESC')->addOrderBy('p.id', 'DESC')->setMaxResults(self::MOST);
        if (!$all) {
            $query->groupBy('p.id')
                ->having('MAX(t.listVersion) < :version')
                ->andHaving('SUM(CASE WHEN t.finishedAt IS NULL THEN 1 ELSE 0 END) > 0')
                ->setParameter('version', $list->version);
        }
        /** @var list<Project> $found */
        $found = $query->getQuery()->getResult();

        return $found;
    }

    /** @param \Closure(): mixed $do */
    private function carryOut(string $words, Staff $staff, \Closure $do, string $kind, string $id, string $label): void
    {
        $this->changes->carryOut(Act::of(ChangeKind::Edit, $words, $staff)->on($kind, $id, $label), $do);
    }
}
