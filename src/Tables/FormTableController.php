<?php

declare(strict_types=1);

namespace Telamon\Tables;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\BinaryFileResponse;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Core\Form\Question;
use Telamon\Forms\Form;
use Telamon\Http\Problem;
use Telamon\Staff\Permission;

#[Route('/api/forms/{id}/submissions', requirements: ['id' => '[0-9a-f-]{36}'])]
#[IsGranted(Permission::Decide->value)]
final readonly class FormTableController
{
    public function __construct(private EntityManagerInterface $em, private FormTable $table)
    {
    }

    #[Route('', methods: ['GET'])]
    public function page(string $id, Request $request): Response
    {
        return new JsonResponse($this->table->page($this->get($id), $request));
    }

    /** What is filtered, as RFC 4180; a cell that a spreadsheet would take for a formula is marked as text. */
    #[Route('/csv', methods: ['GET'])]
    public function csv(string $id, Request $request): Response
    {
        $form = $this->get($id);
        $rows = $this->rows($form, $request);

        return $this->stream("{$form->slug}.csv", 'text/csv; charset=utf-8', static function () use ($rows): void {
            $out = fopen('php://output', 'w') ?: throw new \RuntimeException('the output cannot be written');
            foreach ($rows as $row) {
                self::line($out, $row);
            }
        });
    }

    /**
     * Without what a spreadsheet would take for a formula: at the beginning, and behind what one that parts cells by
     * semicolons, or lines anywhere, would take for a beginning.
     */
    private static function inert(string $text): string
    {
        return (string) preg_replace('/(^[\t\r]?|[;\t\r\n][ "]*)([=+\-@])/', "$1'$2", $text);
    }

    /** What is filtered, as a workbook. */
    #[Route('/xlsx', methods: ['GET'])]
    public function xlsx(string $id, Request $request): Response
    {
        $form = $this->get($id);
        $response = new BinaryFileResponse(Workbook::write($this->rows($form, $request)), 200, ['Content-Type' => 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'], false);

        return $response->setContentDisposition('attachment', "{$form->slug}.xlsx")->deleteFileAfterSend();
    }

    /** @return iterable<list<string>> the heads, then a row a submission */
    private function rows(Form $form, Request $request): iterable
    {
        // What is wrong with the filter is said before the first byte goes out.
        TableFilter::from($request, $columns = $this->table->columns($form));

        return (function () use ($form, $request, $columns): iterable {
            yield ['Number', 'Received', 'State', 'Version', ...array_map(static fn (Question $question): string => $question->wording, array_values($columns))];
            foreach ($this->table->all($form, $request) as $row) {
                yield array_map(static fn (mixed $cell): string => \is_scalar($cell) ? (string) $cell : '', [$row['number'], $row['receivedAt'], $row['state'], $row['version'], ...array_values((array) $row['answers'])]);
            }
        })();
    }

    /** What is filtered, one JSON object a submission in a list. */
    #[Route('/json', methods: ['GET'])]
    public function json(string $id, Request $request): Response
    {
        $form = $this->get($id);
        TableFilter::from($request, $this->table->columns($form));

        return $this->stream("{$form->slug}.json", 'application/json', function () use ($form, $request): void {
            echo '[';
            $first = true;
            foreach ($this->table->all($form, $request) as $row) {
                echo $first ? "\n" : ",\n", json_encode($row, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES);
                $first = false;
            }
            echo "\n]\n";
        });
    }

    /**
     * @param resource $out
     * @param list<string> $cells
     */
    private static function line($out, array $cells): void
    {
        fputcsv($out, array_map(self::inert(...), $cells), ',', '"', '', "\r\n");
    }

    private function stream(string $name, string $type, \Closure $write): Response
    {
        return new StreamedResponse($write, 200, ['Content-Type' => $type, 'Content-Disposition' => HeaderUtils::makeDisposition('attachment', $name)]);
    }

    private function get(string $id): Form
    {
        return $this->em->find(Form::class, $id) ?? throw Problem::notFound('form');
    }
}
