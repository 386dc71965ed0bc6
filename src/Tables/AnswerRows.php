<?php

declare(strict_types=1);

namespace Telamon\Tables;

use Doctrine\DBAL\Connection;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\Question;
use Telamon\Core\Text\Fold;
use Telamon\Database\Remembers;

/** Keeps what tables and figures are made of: how each answer is put in order, what it counts as, what it is found by. */
final class AnswerRows implements Remembers
{
    /** What stands in the columns of every table, under keys that no question has. */
    public const NAME = '@name';
    public const NUMBER = '@number';

    private const LONGEST_TEXT = 20_000;
    private const SELECT = 'SELECT s.id, s.form_id, s.form_version_id, s.number, s.name, s.received_at, s.answers FROM submission s';

    /** @var array<string, FormDefinition> by id of a version; versions never change */
    private array $versions = [];

    public function __construct(private readonly Connection $db)
    {
    }

    public function reset(): void
    {
        $this->versions = [];
    }

    /** All submissions of all forms, where there are no rows yet. */
    public function fill(): void
    {
        foreach ($this->db->fetchFirstColumn('SELECT id FROM form') as $form) {
            for ($after = ''; null !== $after && \is_string($form);) {
                $after = $this->again($form, $after, 1000);
            }
        }
    }

    /**
     * A stretch of a form's submissions read anew.
     *
     * @return string|null the id after which the next stretch begins; null when none is left
     */
    public function again(string $formId, string $after, int $most): ?string
    {
        $rows = $this->db->fetchAllAssociative(self::SELECT.' WHERE s.form_id = ? AND s.id > ? ORDER BY s.id LIMIT '.$most, [$formId, $after]);
        $shown = $this->published($formId);
        foreach ($rows as $row) {
            $this->write($row, $shown);
        }

        return \count($rows) < $most ? null : self::text($rows[$most - 1], 'id');
    }

    public function one(string $submissionId): void
    {
        $row = $this->db->fetchAssociative(self::SELECT.' WHERE s.id = ?', [$submissionId]);
        if (false !== $row && '' !== self::text($row, 'form_id')) {
            $this->write($row, $this->published(self::text($row, 'form_id')));
        }
    }

    /**
     * @param array<array-key, mixed> $row
     * @param FormDefinition|null $shown the version whose wording people see now
     */
    private function write(array $row, ?FormDefinition $shown): void
    {
        $id = self::text($row, 'id');
        $formId = self::text($row, 'form_id');
        $form = $this->version(self::text($row, 'form_version_id'));
        $answers = json_decode(self::text($row, 'answers'), true);
        $this->db->executeStatement('DELETE FROM answer_text WHERE submission_id = ?', [$id]);
        $this->db->executeStatement('DELETE FROM answer_reading WHERE submission_id = ?', [$id]);
        $found = [Fold::text(self::text($row, 'number')), Fold::text(self::text($row, 'name'))];
        $readings = [[self::NAME, 'order', $found[1]], [self::NUMBER, 'order', self::padded(self::text($row, 'number'))]];
        foreach ($form->questions() as $own) {
            $answer = \is_array($answers) ? ($answers[$own->key] ?? null) : null;
            if (null !== $answer && $own->type->asks()) {
                $question = self::asShown($own, $shown);
                $found[] = Fold::text($question->type->text($question, $answer));
                array_push($readings, ...self::readings($question, $answer, $form));
            }
        }
        $this->db->executeStatement(
            'INSERT INTO answer_text (form_id, received_at, submission_id, folded) VALUES (?, ?, ?, ?)',
            [$formId, self::text($row, 'received_at'), $id, substr(implode(' ', array_filter($found, static fn (string $text): bool => '' !== $text)), 0, self::LONGEST_TEXT)],
        );
        foreach (array_chunk($readings, 100) as $some) {
            $this->db->executeStatement(
                'INSERT INTO answer_reading (form_id, question_key, serves, value, submission_id) VALUES '.implode(', ', array_fill(0, \count($some), '(?, ?, ?, ?, ?)')),
                array_merge(...array_map(static fn (array $one): array => [$formId, ...$one, $id], $some)),
            );
        }
    }

    /** @return list<array{string, string, string}> key, what it serves, value */
    private static function readings(Question $question, mixed $answer, FormDefinition $form): array
    {
        $ordered = $question->type->ordered($question, $answer, $form->dayOrder);
        $readings = '' === $ordered ? [] : [[$question->key, 'order', $ordered]];
        $counted = null !== $question->type->counting() ? $question->type->counted($question, $answer) : [];
        if ([] !== $counted) {
            // Once for the answer, whatever it holds: a share is of those who answered.
            $readings[] = [$question->key, 'count', ''];
            foreach ($counted as $value) {
                $readings[] = [$question->key, 'count', mb_substr($value, 0, 200)];
            }
        }

        return $readings;
    }

    /** The question as people see it now, where it is still the same kind. */
    private static function asShown(Question $own, ?FormDefinition $shown): Question
    {
        $question = $shown?->question($own->key);

        return null !== $question && $question->type === $own->type ? $question->alsoOffering($own->options) : $own;
    }

    private function published(string $formId): ?FormDefinition
    {
        $version = $this->db->fetchOne('SELECT published_id FROM form WHERE id = ?', [$formId]);

        return \is_string($version) ? $this->version($version) : null;
    }

    private function version(string $id): FormDefinition
    {
        if (\count($this->versions) > 50) {
            $this->versions = [];
        }
        $definition = isset($this->versions[$id]) ? null : $this->db->fetchOne('SELECT definition FROM form_version WHERE id = ?', [$id]);

        return $this->versions[$id] ??= FormDefinition::fromArray((array) json_decode(\is_string($definition) ? $definition : '', true));
    }

    /** “A-12” before “A-103”. */
    private static function padded(string $number): string
    {
        return (string) preg_replace_callback('/\d+/', static fn (array $m): string => str_pad($m[0], 12, '0', \STR_PAD_LEFT), $number);
    }

    /** @param array<array-key, mixed> $row */
    private static function text(array $row, string $name): string
    {
        return \is_string($row[$name] ?? null) ? $row[$name] : '';
    }
}
