<?php

declare(strict_types=1);

namespace Telamon\Refusal;

/** A value that was given cannot be. */
final class InvalidInput extends Refusal
{
    /** @param string $path the name of the value */
    public function __construct(private readonly string $path, string $detail)
    {
        parent::__construct($detail);
    }

    public function nature(): Nature
    {
        return Nature::Invalid;
    }

    public function title(): string
    {
        return 'Some answers need another look';
    }

    public function violations(): array
    {
        return [['path' => $this->path, 'message' => $this->getMessage()]];
    }
}
