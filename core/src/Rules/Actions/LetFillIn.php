<?php

declare(strict_types=1);

namespace Telamon\Core\Rules\Actions;

use Telamon\Core\Rules\ActionText;
use Telamon\Core\Rules\RuleAction;
use Telamon\Core\Rules\RuleBook;
use Telamon\Core\Rules\RuleField;

/** Sends the client a link to a form that does not ask again who they are. */
final readonly class LetFillIn implements RuleAction
{
    use Plain;

    private function __construct(public string $form)
    {
    }

    public static function name(): string
    {
        return 'form';
    }

    public static function phrase(): string
    {
        return 'have the client fill in the form';
    }

    public static function fields(): array
    {
        return [RuleField::choice('form', 'Form', 'forms')];
    }

    public static function read(ActionText $given): self
    {
        return new self($given->needed('form'));
    }

    public function gone(RuleBook $book): ?string
    {
        return \in_array($this->form, $book->forms, true) ? null : 'a form that is not published any more';
    }

    public function words(): string
    {
        return 'a link to a form';
    }
}
