<?php

declare(strict_types=1);

namespace Telamon\Tests\Matching;

use Telamon\Core\Matching\BlockingKeys;
use Telamon\Core\Matching\Person;
use Telamon\Core\Matching\ShortForms;
use Telamon\Tests\Support\OldInstallation;

/** An installation of before: its clients were filed by their own address alone. */
final class OldKeysTest extends OldInstallation
{
    public function testWhoseThingsStandSomewhereIsFiledThereToo(): void
    {
        $db = $this->installed('20261202010000');
        $db->exec(
            "INSERT INTO client (id, sort_name, given_name, family_name, address, since) VALUES ('c1', 'ambry', 'Wilf', 'Ambry', '', '2026-01-01'), ('c2', 'merrow', 'Una', 'Merrow', '', '2026-01-01')",
        );
        $db->exec(
            "INSERT INTO asset (id, client_id, description, place) VALUES ('a1', 'c1', 'Grand', '3 Mill Row, Marrowby'), ('a2', 'c1', 'Upright', '9 Quay, Corvane'), ('a3', 'c2', 'Square', '')",
        );
        $mill = BlockingKeys::hash('a:3|'.$this->sound('mill'));
        $db->exec("INSERT INTO match_key (hash, client_id) VALUES ($mill, 'c1')");
        $this->bringUp();

        $keys = (new BlockingKeys(new ShortForms()))->of(new Person('', '', '', [], [], '9 Quay', 'corvane'));
        self::assertNotSame([], $keys);
        $found = $db->prepare('SELECT client_id FROM match_key WHERE hash = ?');
        foreach ([...array_map(BlockingKeys::hash(...), array_filter($keys, static fn (string $key): bool => str_starts_with($key, 'a:'))), $mill] as $hash) {
            $found->execute([$hash]);
            self::assertSame(['c1'], $found->fetchAll(\PDO::FETCH_COLUMN), 'each once');
        }
        $others = $db->query("SELECT COUNT(*) FROM match_key WHERE client_id = 'c2'");
        self::assertSame(0, false === $others ? -1 : (int) $others->fetchColumn(), 'nothing of theirs stands anywhere');
    }

    public function testWhatABookingAcceptedIsAnsweredUnlessItWasPromisedAgain(): void
    {
        $db = $this->installed('20261202010000');
        $db->exec("INSERT INTO form (id, slug, title) VALUES ('f', 'book', 'Book')");
        $db->exec("INSERT INTO form_version (id, number, definition, published_at, form_id) VALUES ('v', 1, '{}', '2026-01-01', 'f')");
        $db->exec("INSERT INTO staff (id, password_hash, active, email, name, initials, role) VALUES ('s', '', 1, 'a@example.com', 'A', 'A', 'owner')");
        foreach (['booked', 'again', 'rule', 'waiting'] as $id) {
            $state = 'waiting' === $id ? 'waiting' : 'accepted';
            $db->exec(
                "INSERT INTO submission (id, state, aside_reason, aside_note, number, answers, name, to_decide, channel, received_at, due_at, form_version_id, decided_at) VALUES ('$id', '$state', '', '', '$id', '{}', 'N', 0, 'page', '2026-01-02 10:00:00', '2026-01-02 12:00:00', 'v', '2026-01-02 10:05:00')",
            );
            if ('rule' !== $id) {
                $db->exec(
                    "INSERT INTO appointment (id, title, place, staff_id, starts_at, ends_at, state, placed_at, submission_id) VALUES ('a-$id', 'T', '', 's', '2026-01-05 10:00:00', '2026-01-05 11:00:00', 'booked', '2026-01-02', '$id')",
                );
            }
        }
        $db->exec("INSERT INTO change_set (id, kind, words, at, record_label, seq) VALUES ('c', 'x', 'x', '2026-01-03', '', 1)");
        $db->exec(
            "INSERT INTO journal_entry (id, action, record_class, record_kind, record_id, record_label, before, after, change_id, seq) VALUES ('e', 'changed', 'x', 'submission', 'again', 'A', '{\"dueAt\":\"1\"}', '{\"dueAt\":\"2\",\"answeredAt\":null}', 'c', 1)",
        );
        $this->bringUp();
        $found = $db->query('SELECT id, answered_at FROM submission ORDER BY id');
        self::assertSame(['again' => null, 'booked' => '2026-01-02 10:05:00', 'rule' => null, 'waiting' => null], false === $found ? [] : $found->fetchAll(\PDO::FETCH_KEY_PAIR));
    }

    private function sound(string $word): string
    {
        $keys = (new BlockingKeys(new ShortForms()))->of(new Person('', '', '', [], [], "3 $word row"));

        return explode('|', array_values(array_filter($keys, static fn (string $key): bool => str_starts_with($key, 'a:')))[0])[1];
    }
}
