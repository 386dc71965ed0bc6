<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Telamon\Core\Form\Option;
use Telamon\Core\Form\Page;
use Telamon\Core\Form\Question;
use Telamon\Http\ProofOfWork;
use Telamon\Setup\BusinessFacts;

final readonly class PublicFormController
{
    public function __construct(private PublishedForms $forms, private BusinessFacts $facts, private ProofOfWork $proof, private ClockInterface $clock)
    {
    }

    #[Route('/api/public/forms/{slug}', methods: ['GET'])]
    public function show(string $slug): Response
    {
        $version = $this->forms->get($slug);
        $form = $version->definition();
        $business = $this->facts->business();

        return new JsonResponse([
            'slug' => $slug,
            'version' => $version->number,
            'title' => $form->title,
            'intro' => $form->intro,
            'privacy' => $form->privacy,
            'steps' => $form->steps,
            'dayOrder' => $form->dayOrder->value,
            'today' => $this->clock->now()->setTimezone($this->facts->zone())->format('Y-m-d'),
            'checkPage' => $form->checkPage,
            'copy' => $form->copy,
            'business' => [
                'name' => $business->name, 'phone' => $business->phone, 'phoneText' => $this->facts->phoneReader()->format($business->phone),
                'hours' => $business->hoursText, 'address' => $business->address, 'drawing' => $business->drawing,
            ],
            'pages' => array_map(static fn (Page $page): array => [
                'key' => $page->key, 'title' => $page->title, 'next' => $page->next,
                'questions' => array_map(self::question(...), array_values(array_filter($page->questions, static fn (Question $question): bool => !$question->staffOnly))),
            ], $form->pages),
        ]);
    }

    #[Route('/api/public/forms/{slug}/challenge', methods: ['GET'])]
    public function challenge(string $slug): Response
    {
        $this->forms->get($slug);

        return new JsonResponse($this->proof->challenge());
    }

    /** @return array<string, mixed> */
    private static function question(Question $question): array
    {
        return [
            'key' => $question->key, 'number' => $question->number, 'type' => $question->type->value,
            'wording' => $question->wording, 'hint' => $question->hint, 'example' => $question->example, 'required' => $question->required,
            'options' => array_map(static fn (Option $option): array => ['value' => $option->value, 'label' => $option->label], $question->options),
            'minLength' => $question->checks->minLength, 'maxLength' => $question->maxLength,
            'maxFiles' => $question->maxFiles, 'maxBytes' => $question->maxBytes, 'fileKinds' => $question->fileKinds,
            'min' => $question->checks->min, 'max' => $question->checks->max, 'half' => $question->half, 'third' => $question->third, 'parameter' => $question->parameter,
            'default' => $question->default, 'asList' => $question->asList,
            'lines' => array_map(self::question(...), $question->lines), 'maxLines' => $question->maxLines, 'picture' => $question->picture,
            'showIf' => $question->raw['showIf'] ?? null, 'requiredIf' => $question->raw['requiredIf'] ?? null,
        ];
    }
}
