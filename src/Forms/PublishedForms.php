<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Http\Problem;
use Telamon\Intake\SubmissionCounts;
use Telamon\Setup\BusinessFacts;

/** Finds forms that the public may fill in. */
final readonly class PublishedForms
{
    public function __construct(private EntityManagerInterface $em, private BusinessFacts $facts, private SubmissionCounts $counts, private ClockInterface $clock)
    {
    }

    /** A form that has been published, open or closed. */
    public function find(string $slug): ?Form
    {
        $form = $this->em->getRepository(Form::class)->findOneBy(['slug' => $slug]);

        return null === $form?->published ? null : $form;
    }

    /** @throws Problem 404, or 410 while the form is closed */
    public function get(string $slug): FormVersion
    {
        $form = $this->em->getRepository(Form::class)->findOneBy(['slug' => $slug]);
        $version = $form?->published;
        if (null === $form || null === $version) {
            throw Problem::notFound('form');
        }
        if (!$this->isOpen($form, $this->clock->now())) {
            throw new Problem(410, 'Closed', '' === $form->closedText ? 'This form is closed at the moment.' : $form->closedText);
        }

        return $version;
    }

    public function isOpen(Form $form, \DateTimeImmutable $now): bool
    {
        $today = $now->setTimezone($this->facts->zone())->format('Y-m-d');
        if ((null !== $form->opensOn && $today < $form->opensOn->format('Y-m-d')) || (null !== $form->closesOn && $today > $form->closesOn->format('Y-m-d'))) {
            return false;
        }

        return null === $form->limit || $this->counts->of($form->id) < $form->limit;
    }
}
