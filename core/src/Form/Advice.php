<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** What a form lacks that it can do without, but hardly should: said before it is published. */
final class Advice
{
    /** @return list<string> */
    public static function for(FormDefinition $form): array
    {
        $advice = [];
        if (null === $form->questionFor(Destination::ClientName)) {
            $advice[] = 'No question goes to the client’s name. Clients made from this form would be called “No name given”.';
        }
        if (null === $form->questionFor(Destination::ClientEmail)) {
            $advice[] = 'No question goes to the client’s email. Nobody could be known again, and no confirmation could be sent.';
        }

        return $advice;
    }
}
