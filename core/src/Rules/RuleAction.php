<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

/** One thing that a rule does: a class a kind, read from its stored form. All kinds stand in Actions::ALL. */
interface RuleAction
{
    /** As it is stored, and as the contract names it. */
    public static function name(): string;

    /** How the editor's sentence begins: “join the checklist”. */
    public static function phrase(): string;

    /** @return list<RuleField> what it is given */
    public static function fields(): array;

    /** @throws InvalidRule with the place of what is missing or wrong */
    public static function read(ActionText $given): self;

    /** What it names and is there no more, in words; null where all is there. */
    public function gone(RuleBook $book): ?string;

    /** What it does, in words. */
    public function words(): string;

    /** Whether there must be a project for it. */
    public function needsProject(): bool;

    /** @return list<string> texts that may hold merge fields */
    public function texts(): array;

    /** What carrying it out may set off: the trigger, and what of that; null for nothing. */
    public function setsOff(): ?SetOff;
}
