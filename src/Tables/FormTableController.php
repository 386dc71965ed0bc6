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
use Telamon\Http\CsvFile;
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

    #[Route('/csv', methods: ['GET'])]
    public function csv(string $id, Request $request): Response
    {
        $form = $this->get($id);

        return CsvFile::download("{$form->slug}.csv", $this->rows($form, $request));
    }

    /** What is filtered, as a workbook. */
    #[Route('/xlsx', methods: ['GET'])]
    public function xlsx(string $id, Request $request): Response
    {
        $form = $this->get($id);
        $response = new BinaryFileResponse(
            Workbook::write($this->rows($form, $request)),
            200,
            ['Content-Type' => 'application/vnd.openxmlformats-officedocument.spreadsheetml.sheet'],
            false,
        );

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
                yield array_map(
                    static fn (mixed $cell): string => \is_scalar($cell) ? (string) $cell : '',
                    [$row['number'], $row['receivedAt'], $row['state'], $row['version'], ...array_values((array) $row['answers'])],
                );
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

    private function stream(string $name, string $type, \Closure $write): Response
    {
        return new StreamedResponse($write, 200, ['Content-Type' => $type, 'Content-Disposition' => HeaderUtils::makeDisposition('attachment', $name)]);
    }

    private function get(string $id): Form
    {
        return $this->em->find(Form::class, $id) ?? throw Problem::notFound('form');
    }
}
