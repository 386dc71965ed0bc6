<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Telamon\Business\Profile;
use Telamon\Core\Form\Advice;
use Telamon\Core\Form\Difference;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\InvalidDefinition;

/** Shows forms to those who design them, as the contract has it. */
final readonly class FormView
{
    /** @param iterable<Dependants> $dependants */
    public function __construct(
        #[AutowireIterator('telamon.forms.dependants')] private iterable $dependants,
        private EntityManagerInterface $em,
        private PublishedForms $published,
        private Taken $taken,
        private FormKinds $kinds,
        private FormFaults $faults,
        private Profile $business,
        private ClockInterface $clock,
    ) {
    }

    /** @return list<array<string, mixed>> as FormRow */
    public function rows(): array
    {
        $submissions = $this->taken->byForm();

        return array_map(fn (Form $form): array => [
            'id' => $form->id,
            'slug' => $form->slug,
            'title' => $form->title,
            'state' => $this->state($form),
            'publishedVersion' => $form->published?->number,
            'submissions' => $submissions[$form->id] ?? 0,
        ], $this->em->getRepository(Form::class)->findBy([], ['title' => 'ASC']));
    }

    /** @return array<string, mixed> as Form */
    public function whole(FormDraft $draft): array
    {
        $form = $draft->form;
        $zone = $this->business->zone();
        [$problems, $advice, $changes] = $this->judge($draft);

        return [
            'id' => $form->id,
            'slug' => $form->slug,
            'title' => $form->title,
            'state' => $this->state($form),
            'version' => $draft->version,
            'definition' => (object) $draft->definition,
            'published' => null === $form->published
                ? null
                : ['number' => $form->published->number, 'at' => $form->published->publishedAt->setTimezone($zone)->format(\DATE_RFC3339)],
            'savedAt' => $draft->savedAt->setTimezone($zone)->format(\DATE_RFC3339),
            'savedBy' => $draft->savedBy?->name,
            'problems' => $problems,
            'advice' => $advice,
            'changes' => $changes,
            'settings' => [
                'opensOn' => $form->opensOn?->format('Y-m-d'),
                'closesOn' => $form->closesOn?->format('Y-m-d'),
                'limit' => $form->limit,
                'closedText' => $form->closedText,
                'sites' => $form->sites,
            ],
        ];
    }

    private function state(Form $form): string
    {
        return null === $form->published ? 'draft' : ($this->published->isOpen($form, $this->clock->now()) ? 'live' : 'closed');
    }

    /** @return array{list<string>, list<string>, list<string>} what hinders publishing, what is advised, what would change */
    private function judge(FormDraft $draft): array
    {
        try {
            $definition = FormDefinition::fromArray($draft->definition);
        } catch (InvalidDefinition $error) {
            return [[$error->getMessage()], [], []];
        }
        $published = $draft->form->published?->definition();
        $advice = [...Advice::for($definition), ...$this->kinds->advice($definition)];
        foreach ($this->dependants as $dependants) {
            $advice = [...$advice, ...$dependants->of($draft->form->slug, $definition, $published)];
        }

        return [$this->faults->of($definition, $draft->form), $advice, null === $published ? [] : Difference::words($published, $definition)];
    }
}
