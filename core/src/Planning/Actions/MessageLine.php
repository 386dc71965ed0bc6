<?php

declare(strict_types=1);

namespace Telamon\Core\Planning\Actions;

use Telamon\Core\Effects\QueueMessage;
use Telamon\Core\Form\Destination;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Planning\ActionLines;
use Telamon\Core\Planning\RuleLine;
use Telamon\Core\Rules\Actions\SendMessage;
use Telamon\Core\Rules\RuleAction;

/** One more message to whoever wrote. */
final readonly class MessageLine implements ActionLines
{
    public static function of(): string
    {
        return SendMessage::class;
    }

    public function line(RuleAction $action, RuleLine $at): PlanLine
    {
        \assert($action instanceof SendMessage);
        $email = $at->now->inquiry->readings->for(Destination::ClientEmail);
        if (null === $email || '' === $email->string()) {
            return $at->says('Messages', "“{$at->now->telling->template($action->template)}” is not sent: no mail address was given");
        }

        return $at->does(
            'Messages',
            QueueMessage::toClient($action->template, $email->string(), $at->now->inquiry->readings->for(Destination::ClientName)->text ?? ''),
            from: Sources::of(['to' => $email]),
        );
    }
}
