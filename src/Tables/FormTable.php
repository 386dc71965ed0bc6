<?php

declare(strict_types=1);

namespace Telamon\Tables;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\Request;
use Telamon\Business\Profile;
use Telamon\Core\Form\Question;
use Telamon\Forms\Form;
use Telamon\Forms\FormVersion;
use Telamon\Http\Cursor;
use Telamon\Http\Page;

/** What came through one form, with its questions as columns across all its versions. Rows are read without entities. */
final readonly class FormTable
{
    public function __construct(private EntityManagerInterface $em, private TableRows $rows, private Profile $business)
    {
    }

    /** @return array{columns: list<array{key: string, wording: string}>, items: list<array<string, mixed>>, next: string|null} as FormTable in the contract */
    public function page(Form $form, Request $request): array
    {
        $columns = $this->columns($form);
        $filter = TableFilter::from($request, $columns);
        $rows = array_map(static fn (array $row): object => (object) $row, iterator_to_array($this->rows->read($form->id, $filter, Cursor::from($request), Page::SIZE + 1), false));
        [$page, $next] = Page::cut($rows, static fn (object $row): Cursor => new Cursor(self::text(get_object_vars($row), 'place'), self::text(get_object_vars($row), 'id')));
        $versions = $this->versions($form);

        return [
            'columns' => array_map(
                static fn (string $key, Question $question): array => ['key' => $key, 'wording' => $question->wording],
                array_keys($columns),
                array_values($columns),
            ),
            'items' => array_map(fn (object $row): array => $this->shown(get_object_vars($row), $columns, $versions), $page),
            'next' => $next,
        ];
    }

    /**
     * All that the filters let through, one at a time, so that a long table costs no more memory than a short one.
     *
     * @return iterable<array<string, mixed>>
     */
    public function all(Form $form, Request $request): iterable
    {
        $columns = $this->columns($form);
        $versions = $this->versions($form);
        foreach ($this->rows->read($form->id, TableFilter::from($request, $columns), null, null) as $row) {
            yield $this->shown($row, $columns, $versions);
        }
    }

    /** @return array<string, Question> by key, worded and in the order of the newest version that has it; with all choices there ever were */
    public function columns(Form $form): array
    {
        $columns = [];
        foreach ($this->em->getRepository(FormVersion::class)->findBy(['form' => $form], ['number' => 'DESC']) as $version) {
            foreach ($version->definition()->questions() as $question) {
                if ($question->type->asks()) {
                    // A choice that is offered no longer keeps its name.
                    $columns[$question->key] = isset($columns[$question->key]) ? $columns[$question->key]->alsoOffering($question->options) : $question;
                }
            }
        }

        return $columns;
    }

    /** @return array<string, int> numbers by id */
    private function versions(Form $form): array
    {
        $versions = [];
        foreach ($this->em->getRepository(FormVersion::class)->findBy(['form' => $form]) as $version) {
            $versions[$version->id] = $version->number;
        }

        return $versions;
    }

    /**
     * @param array<array-key, mixed> $row
     * @param array<string, Question> $columns
     * @param array<string, int> $versions
     *
     * @return array<string, mixed> as FormTableRow
     */
    private function shown(array $row, array $columns, array $versions): array
    {
        $given = json_decode(self::text($row, 'answers'), true);
        $answers = [];
        foreach ($columns as $key => $question) {
            $answers[$key] = $question->type->text($question, \is_array($given) ? ($given[$key] ?? '') : '');
        }

        return [
            'id' => self::text($row, 'id'),
            'number' => self::text($row, 'number'),
            'state' => self::text($row, 'state'),
            'receivedAt' => (new \DateTimeImmutable(self::text($row, 'received_at'), new \DateTimeZone('UTC')))->setTimezone($this->business->zone())->format(\DATE_RFC3339),
            'version' => $versions[self::text($row, 'form_version_id')] ?? 0,
            'answers' => (object) $answers,
        ];
    }

    /** @param array<array-key, mixed> $row */
    private static function text(array $row, string $name): string
    {
        $value = $row[$name] ?? '';

        return \is_scalar($value) ? (string) $value : '';
    }
}
