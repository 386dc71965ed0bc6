<?php

declare(strict_types=1);

namespace Telamon\Importing;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;
use Symfony\Component\Messenger\MessageBusInterface;
use Telamon\Core\Importing\ColumnGuess;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Takes files of clients, looks at them, and lets the worker carry them out. */
final readonly class ImportRuns
{
    private const TOLD = 100;

    public function __construct(
        private EntityManagerInterface $em,
        private Connection $db,
        private ClientImport $import,
        private ImportWriter $writer,
        private MessageBusInterface $bus,
        private ClockInterface $clock,
        private string $dataFolder,
    ) {
    }

    /** @throws FileNotRead */
    public function take(string $source, string $fileName, Staff $staff): ClientImportRun
    {
        $file = ClientFile::open($source);
        $heads = $file->heads();
        $run = new ClientImportRun(mb_substr($fileName, 0, 200), $heads, $staff, $this->clock->now());
        $guessed = ColumnGuess::fields($heads, $file->sample());
        $run->assign(array_map(static fn (int $column): string => ($guessed[$column] ?? null)->value ?? '', array_keys($heads)));
        (new Filesystem())->copy($source, $this->path($run));
        $this->look($run);
        $this->em->persist($run);
        $this->em->flush();

        return $run;
    }

    /**
     * @param list<string> $fields by column
     *
     * @throws FileNotRead
     */
    public function map(ClientImportRun $run, array $fields): void
    {
        $this->refuseBegun($run);
        $run->assign($fields);
        $this->look($run);
        $this->em->flush();
    }

    /** @throws Refusal when it was begun before */
    public function begin(ClientImportRun $run): void
    {
        $this->em->wrapInTransaction(function () use ($run): void {
            $this->em->refresh($run);
            $this->refuseBegun($run);
            $run->begin();
            $this->bus->dispatch(new ImportJob($run->id));
        });
    }

    #[AsMessageHandler]
    public function carryOut(ImportJob $job): void
    {
        $run = $this->em->find(ClientImportRun::class, $job->id);
        if (null === $run || ClientImportRun::RUNNING !== $run->state) {
            return;
        }
        // What a worker that died had done is done: lines and state are written together.
        $before = $run->done;
        try {
            // Read whole before the first is written: rows of one file are not matched with each other.
            $rows = \array_slice($this->judged($run), $before);
        } catch (FileNotRead) {
            $this->db->executeStatement('UPDATE client_import SET state = ? WHERE id = ?', [ClientImportRun::FAILED, $run->id]);

            return;
        }
        $path = $this->path($run);
        $total = $before + \count($rows);
        $this->writer->write($rows, $run->fileName, $run->staff, function (int $done, string $changeId) use ($job, $before, $total): void {
            $all = $before + $done;
            $this->db->executeStatement(
                'UPDATE client_import SET done = ?, change_id = ?, state = ? WHERE id = ?',
                [$all, $changeId, $all === $total ? ClientImportRun::DONE : ClientImportRun::RUNNING, $job->id],
            );
        }, $run->changeId);
        (new Filesystem())->remove([$path, "$path.verdicts"]);
    }

    /**
     * The rows with what was thought of each when the import began: one that was broken off is not judged again against the
     * clients that its own first stretch wrote.
     *
     * @return list<ImportRow>
     *
     * @throws FileNotRead
     */
    private function judged(ClientImportRun $run): array
    {
        $rows = array_values([...$this->import->rows(ClientFile::open($this->path($run)), $run->columns())]);
        $file = $this->path($run).'.verdicts';
        $kept = is_file($file) ? json_decode((string) file_get_contents($file), true) : null;
        if (!\is_array($kept) || \count($kept) !== \count($rows)) {
            (new Filesystem())->dumpFile($file, json_encode(array_map(static fn (ImportRow $row): array => [$row->verdict, $row->clientId], $rows), \JSON_THROW_ON_ERROR));

            return $rows;
        }

        return array_map(
            static fn (ImportRow $row, mixed $was): ImportRow => \is_array($was) && \in_array($was[0] ?? null, ['new', 'matched', 'doubtful', 'wrong'], true) ? new ImportRow(
                $row->client,
                $was[0],
                \is_string($was[1] ?? null) ? $was[1] : '',
                $row->why,
            ) : $row,
            $rows,
            $kept,
        );
    }

    /** @throws FileNotRead */
    private function look(ClientImportRun $run): void
    {
        $run->lookAgain();
        if ([] === $run->columns()) {
            return;
        }
        foreach ($this->import->rows(ClientFile::open($this->path($run)), $run->columns()) as $row) {
            $tells = \in_array($row->verdict, ['doubtful', 'wrong'], true) && \count($run->told) < self::TOLD;
            $run->see($row->verdict, $tells ? ['line' => $row->client->line, 'name' => $row->client->name(), 'verdict' => $row->verdict, 'why' => $row->why] : null);
        }
    }

    private function refuseBegun(ClientImportRun $run): void
    {
        if (ClientImportRun::READY !== $run->state) {
            throw new BegunAlready();
        }
    }

    private function path(ClientImportRun $run): string
    {
        return "{$this->dataFolder}/imports/{$run->id}";
    }
}
