<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Telamon\Clients\ConfirmedAddresses;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\Kinds\AnyOf;
use Telamon\Core\Form\Kinds\Country;
use Telamon\Core\Form\Kinds\Day;
use Telamon\Core\Form\Kinds\Figure;
use Telamon\Core\Form\Kinds\OneOf;
use Telamon\Core\Form\Kinds\Time;
use Telamon\Core\Form\Kinds\YesNo;
use Telamon\Core\Form\Question;
use Telamon\Core\Form\Readings;
use Telamon\Core\Reading\NameReader;
use Telamon\Messages\MessageQueue;
use Telamon\Messages\SentCount;

/** Sends whoever filled in a form that promises it a copy of what they wrote, at once. Call it inside a change. */
final readonly class AnswerCopy
{
    public const TEMPLATE = 'copy';
    /** So many in a day to one address: a public form must not become somebody's tool to fill a stranger's mailbox. */
    private const MOST_A_DAY = 5;

    public function __construct(private MessageQueue $messages, private NameReader $names, private ConfirmedAddresses $confirmed, private SentCount $sent)
    {
    }

    public function send(Submission $submission, Readings $readings, FormDefinition $form, \DateTimeImmutable $now): void
    {
        $to = $readings->for(Destination::ClientEmail)?->string() ?? '';
        if (!$form->copy || '' === $to || $this->sent->since(self::TEMPLATE, $to, $now->modify('-1 day')) >= self::MOST_A_DAY) {
            return;
        }
        $name = $readings->for(Destination::ClientName)->text ?? '';
        // Anybody may write anybody's address: what goes there repeats nothing that was typed freely, until it is known to be theirs.
        $known = $this->confirmed->has($to);
        $this->messages->queue(self::TEMPLATE, $to, mb_substr($known ? $name : ConfirmedAddresses::plainName($name), 0, 200), [
            'first_name' => $known
                ? $this->names->read($name)->given
                : $this->names->read(ConfirmedAddresses::plainName($name))->given, 'reference' => $submission->number, 'form' => $form->title, 'answers' => AnswersAsText::of(
                    $submission,
                    $form,
                    static fn (Question $question): bool => !$question->staffOnly && ($known || !self::isFree($question)),
                ),
        ], null, null, $submission->id);
    }

    /** Whether it holds what somebody made up, and not one of several things or a figure. */
    private static function isFree(Question $question): bool
    {
        return !($question->type instanceof OneOf || $question->type instanceof AnyOf || $question->type instanceof YesNo || $question->type instanceof Day || $question->type instanceof Time || $question->type instanceof Figure || $question->type instanceof Country);
    }
}
