<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

/** An action that names somebody of the staff, or several of whom one is chosen when it comes to it. */
interface NamesSomebody extends RuleAction
{
    /** An id, or one of Turns::ROTA and Turns::FEWEST. */
    public function named(): string;

    /** @return list<string> ids of those among whom one is chosen */
    public function among(): array;

    /** @param string $why in words; told with the rule */
    public function choosing(string $staff, string $why): static;

    /** Why this one was chosen, in words; empty where somebody is named. */
    public function why(): string;
}
