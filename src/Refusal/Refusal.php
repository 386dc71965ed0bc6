<?php

declare(strict_types=1);

namespace Telamon\Refusal;

/** Something that is not done, and why, in words for whoever asked: one class a way of failing. It knows nothing of HTTP. */
abstract class Refusal extends \DomainException
{
    /** @param string $detail what to do now, in words */
    public function __construct(string $detail)
    {
        parent::__construct($detail);
    }

    abstract public function nature(): Nature;

    /** What happened, in a few words. */
    abstract public function title(): string;

    /** @return list<array{path: string, message: string}> what is wrong with single values */
    public function violations(): array
    {
        return [];
    }
}
