<?php

declare(strict_types=1);

namespace Telamon\Tables;

/** Asks the worker to read a form's answers anew, a stretch at a time: its choices are called otherwise now. */
final readonly class ReadAnswersAgain
{
    public function __construct(public string $formId, public string $after = '')
    {
    }
}
