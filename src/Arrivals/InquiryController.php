<?php

declare(strict_types=1);

namespace Telamon\Arrivals;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Forms\Form;
use Telamon\Http\IdempotencyKey;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Record\Records;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/** Inquiries that staff write down while somebody is on the phone, at the desk, or has written a mail. */
#[Route('/api/inquiries')]
#[IsGranted(Permission::Decide->value)]
final readonly class InquiryController
{
    private const MAX_BYTES = 262_144;

    public function __construct(private WritingDown $writing, private InquirySheet $sheet, private Records $records)
    {
    }

    #[Route('/forms', methods: ['GET'])]
    public function forms(): Response
    {
        return new JsonResponse(['items' => array_map(static fn (Form $form): array => ['value' => $form->slug, 'label' => $form->title], $this->writing->forms())]);
    }

    #[Route('/forms/{slug}', methods: ['GET'])]
    public function form(string $slug, Request $request): Response
    {
        return new JsonResponse($this->sheet->show($this->writing->version($slug), $this->writing->client($request->query->getString('client'))));
    }

    #[Route('/try', methods: ['POST'])]
    public function try(Request $request): Response
    {
        return new JsonResponse($this->records->linked($this->writing->try(self::body($request))->toArray()));
    }

    #[Route('', methods: ['POST'])]
    public function save(Request $request, #[CurrentUser] Staff $staff): Response
    {
        $submission = $this->writing->save(self::body($request), IdempotencyKey::of($request), $staff);

        return new JsonResponse(['id' => $submission->id, 'number' => $submission->number], 201);
    }

    /**
     * @return array<array-key, mixed>
     *
     * @throws Problem 413
     */
    private static function body(Request $request): array
    {
        if (\strlen($request->getContent()) > self::MAX_BYTES) {
            throw new Problem(413, 'Too large', 'All answers together are longer than is taken at once. Shorten them.');
        }

        return JsonBody::read($request);
    }
}
