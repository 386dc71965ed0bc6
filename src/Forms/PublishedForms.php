<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Refusal\NotThere;
use Telamon\Refusal\Refusal;

/** Finds forms that the public may fill in. */
final readonly class PublishedForms
{
    public function __construct(private EntityManagerInterface $em, private Profile $business, private Taken $taken, private ClockInterface $clock)
    {
    }

    /** A form that has been published, open or closed. */
    public function find(string $slug): ?Form
    {
        $form = $this->em->getRepository(Form::class)->findOneBy(['slug' => $slug]);

        return null === $form?->published ? null : $form;
    }

    /** @return list<string> endings of all that have been published, open or closed */
    public function published(): array
    {
        return array_map(static fn (Form $form): string => $form->slug, $this->all());
    }

    /** @return list<Form> all that have been published, by title */
    public function all(): array
    {
        return array_values(array_filter($this->em->getRepository(Form::class)->findBy([], ['title' => 'ASC']), static fn (Form $form): bool => null !== $form->published));
    }

    /**
     * @param int|null $number the version that somebody has before them; what they were asked is what counts
     *
     * @throws Refusal while the form is closed
     */
    public function get(string $slug, ?int $number = null): FormVersion
    {
        $form = $this->em->getRepository(Form::class)->findOneBy(['slug' => $slug]);
        $version = $form?->published;
        if (null === $form || null === $version) {
            throw new NotThere('form');
        }
        $this->refuseClosed($form, $this->clock->now());

        return null === $number || $number === $version->number
            ? $version
            : $this->em->getRepository(FormVersion::class)->findOneBy(['form' => $form, 'number' => $number]) ?? $version;
    }

    /** @throws Refusal while the form is closed, or has had all it takes */
    public function refuseClosed(Form $form, \DateTimeImmutable $now): void
    {
        if (!$this->isOpen($form, $now)) {
            throw new FormClosed('' === $form->closedText ? 'This form is closed at the moment.' : $form->closedText);
        }
    }

    public function isOpen(Form $form, \DateTimeImmutable $now): bool
    {
        $today = $now->setTimezone($this->business->zone())->format('Y-m-d');
        if ((null !== $form->opensOn && $today < $form->opensOn->format('Y-m-d')) || (null !== $form->closesOn && $today > $form->closesOn->format('Y-m-d'))) {
            return false;
        }

        return null === $form->limit || $this->taken->of($form->id) < $form->limit;
    }
}
