<?php

declare(strict_types=1);

namespace Telamon\Search;

use Doctrine\DBAL\Connection;
use Telamon\Core\Text\Fold;

/** Keeps the rows that are searched, one a record, folded to plain letters and figures, with an index of their trigrams (SQLite FTS5). */
final readonly class SearchRows
{
    public const KINDS = ['client', 'contact', 'asset', 'project', 'submission', 'message'];
    private const LONGEST = 4000;

    /** What is found by, what it is called, and where it leads, by kind. */
    private const SELECT = [
        'client' => "SELECT c.id, TRIM(c.given_name || ' ' || c.family_name) AS title, COALESCE((SELECT p.value FROM contact_point p WHERE p.client_id = c.id AND p.kind = 'email' ORDER BY p.id LIMIT 1), c.address) AS second, c.organisation || ' ' || c.address || ' ' || c.external_id || ' ' || COALESCE((SELECT GROUP_CONCAT(p.value, ' ') FROM contact_point p WHERE p.client_id = c.id), '') AS text, c.id AS path FROM client c WHERE c.merged_into_id IS NULL",
        'contact' => "SELECT k.id, k.name AS title, TRIM(c.given_name || ' ' || c.family_name) AS second, k.email || ' ' || k.phone || ' ' || k.role AS text, c.id AS path FROM contact k JOIN client c ON c.id = k.client_id WHERE 1",
        'asset' => "SELECT a.id, a.description AS title, TRIM(c.given_name || ' ' || c.family_name) AS second, a.make || ' ' || a.model || ' ' || a.serial_number || ' ' || a.place AS text, c.id AS path FROM asset a JOIN client c ON c.id = a.client_id WHERE 1",
        'project' => "SELECT p.id, p.number || ' ' || p.title AS title, TRIM(c.given_name || ' ' || c.family_name) AS second, TRIM(c.given_name || ' ' || c.family_name) || ' ' || p.notes AS text, p.id AS path FROM project p JOIN client c ON c.id = p.client_id WHERE 1",
        'submission' => 'SELECT s.id, s.name AS title, s.number AS second, s.number AS text, s.answers, s.state, s.id AS path FROM submission s WHERE 1',
        'message' => "SELECT m.id, m.subject AS title, m.to_name AS second, m.to_name || ' ' || m.to_address AS text, m.id AS path FROM message m WHERE 1",
    ];

    public function __construct(private Connection $db)
    {
    }

    public function create(): void
    {
        $this->db->executeStatement('CREATE TABLE search_entry (id INTEGER PRIMARY KEY, kind TEXT NOT NULL, record_id TEXT NOT NULL, title TEXT NOT NULL, second TEXT NOT NULL, path TEXT NOT NULL, folded TEXT NOT NULL)');
        $this->db->executeStatement('CREATE UNIQUE INDEX search_entry_record ON search_entry (record_id)');
        $this->db->executeStatement("CREATE VIRTUAL TABLE search_text USING fts5(folded, content='search_entry', content_rowid='id', tokenize='trigram')");
        // How many rows hold each trigram: what is rare tells more, and is quicker to look up.
        $this->db->executeStatement("CREATE VIRTUAL TABLE search_count USING fts5vocab('search_text', 'row')");
    }

    public function fill(): void
    {
        $this->db->transactional(function (): void {
            foreach (self::KINDS as $kind) {
                foreach ($this->db->iterateAssociative(self::SELECT[$kind]) as $row) {
                    $this->insert($kind, $row);
                }
            }
        });
    }

    /** @param list<string> $ids of records of one kind that were made, changed or removed */
    public function refresh(string $kind, array $ids): void
    {
        foreach ($ids as $id) {
            $this->remove($id);
            $row = $this->db->fetchAssociative(self::SELECT[$kind].' AND '.substr($kind, 0, 1).'.id = ?', [$id]);
            if (false !== $row) {
                $this->insert($kind, $row);
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
        $second = 'submission' === $kind ? $text('second').', '.str_replace('-', ' ', $text('state')) : $text('second');
        $folded = mb_substr(Fold::text($text('title').' '.$text('text').' '.self::answers($text('answers')).' '.self::figures($text('text'))), 0, self::LONGEST);
        $this->db->executeStatement('INSERT INTO search_entry (kind, record_id, title, second, path, folded) VALUES (?, ?, ?, ?, ?, ?)', [$kind, $text('id'), mb_substr($text('title'), 0, 300), mb_substr($second, 0, 300), $text('path'), $folded]);
        $this->db->executeStatement('INSERT INTO search_text (rowid, folded) VALUES (?, ?)', [$this->db->lastInsertId(), $folded]);
    }

    /** The texts among answers; ids of files are none. */
    private static function answers(string $json): string
    {
        $texts = [];
        $answers = '' === $json ? [] : json_decode($json, true);
        foreach (\is_array($answers) ? $answers : [] as $answer) {
            if (\is_string($answer)) {
                $texts[] = $answer;
            }
        }

        return implode(' ', $texts);
    }

    /** Telephone numbers as they are typed here: without the country. */
    private static function figures(string $text): string
    {
        return 0 < (int) preg_match_all('/\+\d{2,3}(\d{7,})/', $text, $m) ? implode(' ', array_map(static fn (string $number): string => "0$number", $m[1])) : '';
    }
}
