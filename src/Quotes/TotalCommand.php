<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Symfony\Component\Console\Attribute\AsCommand;
use Telamon\Console\AnswersFile;
use Telamon\Core\Quotes\Arithmetic;
use Telamon\Core\Quotes\SumsReader;

#[AsCommand('telamon:quotes:total', 'Prints the sums of a quote, for what a file says; docs/quotes.md has its form')]
final class TotalCommand extends AnswersFile
{
    public function __construct(private readonly SumsReader $reader = new SumsReader(), private readonly Arithmetic $arithmetic = new Arithmetic())
    {
        parent::__construct();
    }

    protected function answer(mixed $question): array
    {
        return $this->arithmetic->of($this->reader->read($question))->toArray();
    }
}
