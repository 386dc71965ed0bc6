<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Http\Problem;

/** Finds forms that the public may fill in. */
final readonly class PublishedForms
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    public function exists(string $slug): bool
    {
        return null !== $this->em->getRepository(Form::class)->findOneBy(['slug' => $slug])?->published;
    }

    /** @throws Problem 404 */
    public function get(string $slug): FormVersion
    {
        return $this->em->getRepository(Form::class)->findOneBy(['slug' => $slug])->published ?? throw Problem::notFound('form');
    }
}
