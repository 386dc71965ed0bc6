<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\InvalidDefinition;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Makes, keeps and publishes what is being designed. */
final readonly class Draft
{
    public function __construct(private EntityManagerInterface $em, private Changes $changes, private FormFaults $faults, private ClockInterface $clock)
    {
    }

    /** The draft of a form; one is begun from the published version where there is none. */
    public function of(Form $form): FormDraft
    {
        $draft = $this->em->getRepository(FormDraft::class)->findOneBy(['form' => $form]);
        if (null === $draft) {
            $draft = new FormDraft($form, $form->published->definition ?? [], $this->clock->now(), null);
            $this->em->persist($draft);
            $this->em->flush();
        }

        return $draft;
    }

    /** @param array<mixed> $definition */
    public function begin(string $title, array $definition, Staff $staff): Form
    {
        $act = Act::of(ChangeKind::Setup, "began the form $title", $staff);

        return $this->changes->carryOut($act, function () use ($title, $definition, $staff): Form {
            $form = new Form($this->freeSlug($title), $title);
            $this->em->persist($form);
            $this->em->persist(new FormDraft($form, ['title' => $title] + $definition, $this->clock->now(), $staff));

            return $form;
        });
    }

    /**
     * @param array<mixed> $definition kept as it is, right or wrong
     *
     * @throws \Doctrine\ORM\OptimisticLockException when somebody else saved meanwhile
     */
    public function keep(FormDraft $draft, array $definition, int $version, Staff $staff): void
    {
        $this->em->wrapInTransaction(function () use ($draft, $definition, $version, $staff): void {
            $this->em->refresh($draft);
            $this->em->lock($draft, LockMode::OPTIMISTIC, $version);
            $draft->save($definition, $this->clock->now(), $staff);
        });
    }

    /** @throws Refusal when the draft cannot be a form */
    public function publish(FormDraft $draft, int $version, Staff $staff): FormVersion
    {
        $form = $draft->form;
        $act = Act::of(ChangeKind::Publish, "published {$form->title}", $staff)->about($form)->looking($draft, $version);

        return $this->changes->carryOut($act, function () use ($draft, $form): FormVersion {
            try {
                $faults = $this->faults->of(FormDefinition::fromArray($draft->definition), $form);
            } catch (InvalidDefinition $error) {
                $faults = [$error->getMessage()];
            }
            if ([] !== $faults) {
                throw new InvalidInput('definition', $faults[0]);
            }
            $last = $this->em->createQueryBuilder()
                ->select('MAX(v.number)')
                ->from(FormVersion::class, 'v')
                ->where('v.form = :form')
                ->setParameter('form', $form)
                ->getQuery()
                ->getSingleScalarResult();
            $made = new FormVersion($form, (int) $last + 1, $draft->definition, $this->clock->now());
            $this->em->persist($made);
            $form->publish($made);

            return $made;
        });
    }

    /** Takes a form offline: nobody can fill it in until a version is published again. */
    public function withdraw(Form $form, Staff $staff): void
    {
        $act = Act::of(ChangeKind::Publish, "took {$form->title} offline", $staff)->about($form)->looking($form);
        $this->changes->carryOut($act, static function () use ($form): void {
            $form->publish(null);
        });
    }

    private function freeSlug(string $title): string
    {
        $base = trim((string) preg_replace('/[^a-z0-9]+/', '-', strtolower((string) transliterator_transliterate('Any-Latin; Latin-ASCII', $title))), '-');
        $base = '' === $base ? 'form' : substr($base, 0, 50);
        $slug = $base;
        for ($i = 2; null !== $this->em->getRepository(Form::class)->findOneBy(['slug' => $slug]); ++$i) {
            $slug = "$base-$i";
        }

        return $slug;
    }
}
