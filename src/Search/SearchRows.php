<?php

declare(strict_types=1);

namespace Telamon\Search;

use Doctrine\DBAL\Connection;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Telamon\Core\Text\Fold;
use Telamon\Staff\Permission;

/** Keeps the rows that are searched, one a record, folded to plain letters and figures, with an index of their trigrams (SQLite FTS5). */
final readonly class SearchRows
{
    private const LONGEST = 4000;

    /** @param iterable<Searched> $searched what is found of each kind of record, in the order shown */
    public function __construct(private Connection $db, #[AutowireIterator('telamon.searched')] private iterable $searched)
    {
    }

    public function create(): void
    {
        $this->db->executeStatement(
            'CREATE TABLE search_entry (id INTEGER PRIMARY KEY, kind TEXT NOT NULL, record_id TEXT NOT NULL, title TEXT NOT NULL, second TEXT NOT NULL, path TEXT NOT NULL, folded TEXT NOT NULL)',
        );
        $this->db->executeStatement('CREATE UNIQUE INDEX search_entry_record ON search_entry (record_id)');
        $this->db->executeStatement("CREATE VIRTUAL TABLE search_text USING fts5(folded, content='search_entry', content_rowid='id', tokenize='trigram')");
        // How many rows hold each trigram: what is rare tells more, and is quicker to look up.
        $this->db->executeStatement("CREATE VIRTUAL TABLE search_count USING fts5vocab('search_text', 'row')");
    }

    public function fill(): void
    {
        $this->db->transactional(function (): void {
            foreach ($this->searched as $one) {
                foreach ($this->db->iterateAssociative(str_replace('{which}', '', $one::select())) as $row) {
                    $this->insert($one::kind(), $row);
                }
            }
        });
    }

    public function isEmpty(): bool
    {
        return false === $this->db->fetchOne('SELECT id FROM search_entry LIMIT 1');
    }

    /**
     * @param \Closure(Permission): bool $may
     *
     * @return list<string> the kinds of records that are found by whoever may that, in the order shown
     */
    public function kinds(\Closure $may): array
    {
        $kinds = [];
        foreach ($this->searched as $one) {
            if ($may($one::permission())) {
                $kinds[] = $one::kind();
            }
        }

        return $kinds;
    }

    /** @return array<string, string> what each kind is called, where it is found */
    public function words(): array
    {
        $words = [];
        foreach ($this->searched as $one) {
            $words[$one::kind()] = $one::words();
        }

        return $words;
    }

    /**
     * The records that are to be filed anew when one is written.
     *
     * @return array<string, string> ids by kind
     */
    public function concerned(object $written): array
    {
        $ids = [];
        foreach ($this->searched as $one) {
            $ids[$one::kind()] = $one::concerned($written);
        }

        return array_filter($ids, static fn (?string $id): bool => null !== $id);
    }

    /** @param array<string, list<string>> $ids by kind, of records that were made, changed or removed */
    public function refresh(array $ids): void
    {
        foreach ($this->searched as $one) {
            foreach ($ids[$one::kind()] ?? [] as $id) {
                $this->remove($id);
                $row = $this->db->fetchAssociative(str_replace('{which}', "AND {$one::id()} = ?", $one::select()), [$id]);
                if (false !== $row) {
                    $this->insert($one::kind(), $row);
                }
            }
        }
    }

    /** @param list<string> $ids */
    public function forget(array $ids): void
    {
        array_map($this->remove(...), $ids);
    }

    private function remove(string $id): void
    {
        $known = $this->db->fetchAssociative('SELECT id, folded FROM search_entry WHERE record_id = ?', [$id]);
        if (false !== $known) {
            // An index over a table of its own is told what it held.
            $this->db->executeStatement("INSERT INTO search_text (search_text, rowid, folded) VALUES ('delete', ?, ?)", [$known['id'], $known['folded']]);
            $this->db->executeStatement('DELETE FROM search_entry WHERE id = ?', [$known['id']]);
        }
    }

    /** @param array<string, mixed> $row */
    private function insert(string $kind, array $row): void
    {
        $text = static fn (string $name): string => \is_string($row[$name] ?? null) ? $row[$name] : '';
        $folded = mb_substr(Fold::text($text('title').' '.$text('text').' '.self::figures($text('text'))), 0, self::LONGEST);
        $this->db->executeStatement(
            'INSERT INTO search_entry (kind, record_id, title, second, path, folded) VALUES (?, ?, ?, ?, ?, ?)',
            [$kind, $text('id'), mb_substr($text('title'), 0, 300), mb_substr($text('second'), 0, 300), $text('path'), $folded],
        );
        $this->db->executeStatement('INSERT INTO search_text (rowid, folded) VALUES (?, ?)', [$this->db->lastInsertId(), $folded]);
    }

    /** Telephone numbers as they are typed here: without the country. */
    private static function figures(string $text): string
    {
        return 0 < (int) preg_match_all('/\+\d{2,3}(\d{7,})/', $text, $m) ? implode(' ', array_map(static fn (string $number): string => "0$number", $m[1])) : '';
    }
}
