<?php

declare(strict_types=1);

namespace Telamon\Rules;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Form\Question;
use Telamon\Core\Rules\Rule;
use Telamon\Forms\Form;

/** What the texts of a rule may name: answers of the forms that it is for, and what is known of a project. */
final readonly class MergeFields
{
    /** By name, with what people call it. */
    public const OF_PROJECT = ['project' => 'the project’s number', 'title' => 'the project’s title', 'stage' => 'the project’s stage', 'client' => 'the client’s name'];

    public function __construct(private EntityManagerInterface $em)
    {
    }

    /** @return list<string> */
    public function of(Rule $rule): array
    {
        $fields = $rule->when->isOfPlan() ? [] : array_keys(self::OF_PROJECT);
        foreach ($this->em->getRepository(Form::class)->findAll() as $form) {
            if (null === $form->published || ([] !== $rule->forms && !\in_array($form->slug, $rule->forms, true))) {
                continue;
            }
            $asked = array_filter($form->published->definition()->questions(), static fn (Question $question): bool => $question->type->asks());
            $fields = [...$fields, ...array_column($asked, 'key')];
        }

        return array_values(array_unique($fields));
    }
}
