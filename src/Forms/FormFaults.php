<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Form\Faults;
use Telamon\Core\Form\FormDefinition;

/** Why a draft cannot be published yet, among the other forms that there are. */
final readonly class FormFaults
{
    public function __construct(private EntityManagerInterface $em, private Faults $faults)
    {
    }

    /** @return list<string> empty where nothing is in the way */
    public function of(FormDefinition $definition, Form $form): array
    {
        /** @var list<string> $slugs */
        $slugs = $this->em->createQueryBuilder()->select('f.slug')->from(Form::class, 'f')->where('f.published IS NOT NULL')->getQuery()->getSingleColumnResult();

        return $this->faults->of($definition, $slugs, $form->slug);
    }
}
