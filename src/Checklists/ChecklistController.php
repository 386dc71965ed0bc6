<?php

declare(strict_types=1);

namespace Telamon\Checklists;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Business\ChecklistTemplate;
use Telamon\Http\CsvFile;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Http\Query;
use Telamon\Record\Edit;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

#[Route('/api/checklists')]
#[IsGranted(Permission::Rule->value)]
final readonly class ChecklistController
{
    private const ID = '[0-9a-f-]{36}';
    private const MOST_BYTES = 2_000_000;

    public function __construct(
        private EntityManagerInterface $em,
        private Lists $lists,
        private ListChanges $changes,
        private ListView $view,
        private ListFile $file,
        private ListImport $import,
        private Takeover $takeover,
        private TryOut $tryOut,
    ) {
    }

    #[Route('', methods: ['GET'])]
    public function list(): Response
    {
        return new JsonResponse($this->view->all());
    }

    #[Route('', methods: ['POST'])]
    public function make(Request $request, #[CurrentUser] Staff $staff): Response
    {
        return new JsonResponse($this->view->one($this->changes->make(JsonBody::read($request), $staff)), 201);
    }

    #[Route('/{id}', requirements: ['id' => self::ID], methods: ['PUT'])]
    public function change(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $kept = $this->get($id);
        $this->changes->change($kept, JsonBody::read($request), $staff);

        return new JsonResponse($this->view->one($kept));
    }

    #[Route('/{id}/retire', requirements: ['id' => self::ID], methods: ['POST'])]
    public function retire(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $retired = JsonBody::read($request)['retired'] ?? null;
        $kept = $this->get($id);
        $this->changes->retire($kept, \is_bool($retired) ? $retired : throw Problem::invalid('retired', 'Say yes or no.'), $staff);

        return new JsonResponse($this->view->one($kept));
    }

    #[Route('/{id}/versions', requirements: ['id' => self::ID], methods: ['GET'])]
    public function versions(string $id): Response
    {
        return new JsonResponse(['items' => $this->view->versions($this->get($id))]);
    }

    /** Open projects that came of an older version, and what this one would change in each. */
    #[Route('/{id}/behind', requirements: ['id' => self::ID], methods: ['GET'])]
    public function behind(string $id): Response
    {
        return new JsonResponse(['items' => $this->takeover->preview($this->get($id)->toChecklist())]);
    }

    #[Route('/{id}/take-over', requirements: ['id' => self::ID], methods: ['POST'])]
    public function takeOver(string $id, Request $request, #[CurrentUser] Staff $staff): Response
    {
        $kept = $this->get($id);
        $projects = (new Edit(JsonBody::read($request)))->texts('projects', 200, 36) ?? [];
        $this->takeover->takeOver($kept, [] === $projects ? throw Problem::invalid('projects', 'Choose projects.') : $projects, $staff);

        return new JsonResponse($this->view->one($this->get($id)));
    }

    /** What the checklist would give, and what saving it would do to projects that are under way. */
    #[Route('/try', methods: ['POST'])]
    public function try(Request $request): Response
    {
        $body = JsonBody::read($request);
        $edit = new Edit($body);
        $given = \is_array($body['list'] ?? null) ? $body['list'] : throw Problem::invalid('list', 'Send the checklist.');
        $id = JsonBody::text($body, 'id', 36);
        $kept = '' === $id ? null : $this->get($id);
        $name = JsonBody::text($given, 'name', 100);
        $list = $this->changes->check(['name' => '' === trim($name) ? 'The new one' : $name] + $given, $kept->key ?? 'the-new-one', 1 + ($kept->version ?? 0));
        $start = $edit->day('start') ?? throw Problem::invalid('start', 'Choose the day on which it starts.');

        return new JsonResponse($this->tryOut->of(
            $list,
            $kept->isBase ?? false,
            JsonBody::text($body, 'service', 40),
            $start,
            $edit->day('readyBy'),
            JsonBody::text($body, 'submission', 36),
        ) + [
            'effects' => null === $kept ? [] : $this->takeover->preview($list, true),
        ]);
    }

    #[Route('/export', methods: ['GET'])]
    public function export(Request $request): Response
    {
        $id = Query::id($request, 'list');
        $kept = null === $id ? $this->lists->kept() : [$this->get($id)];
        $name = 1 === \count($kept) ? $kept[0]->key : 'checklists';
        if ('csv' === $request->query->getString('format')) {
            return CsvFile::download("$name.csv", $this->file->csv($kept));
        }
        $response = new JsonResponse($this->file->json($kept));
        $response->setEncodingOptions(\JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES);
        $response->headers->set('Content-Disposition', HeaderUtils::makeDisposition('attachment', "$name.json"));

        return $response;
    }

    #[Route('/import', methods: ['POST'])]
    public function import(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $body = JsonBody::read($request);
        $text = $body['text'] ?? null;
        if (!\is_string($text) || '' === trim($text) || \strlen($text) > self::MOST_BYTES || !mb_check_encoding($text, 'UTF-8')) {
            throw Problem::invalid('text', 'Send the text of a file, in UTF-8, of 2 MB at most.');
        }

        return new JsonResponse($this->import->take($text, true === ($body['dry'] ?? false), $staff));
    }

    private function get(string $id): ChecklistTemplate
    {
        return $this->em->find(ChecklistTemplate::class, $id) ?? throw Problem::notFound('checklist');
    }
}
