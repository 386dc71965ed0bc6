<?php

declare(strict_types=1);

namespace Telamon\Core\Matching;

/** Finds among many people the pairs that may be one person. */
final readonly class DuplicateFinder
{
    public function __construct(private ShortForms $forms, private ?Weights $weights = null, private Thresholds $thresholds = new Thresholds())
    {
    }

    /**
     * @param array<string, Person> $people by id
     * @param float $atLeast probability below which a pair is left out
     * @param \Closure(int): void|null $progress told how many people have been compared
     *
     * @return list<array{string, string, Judgement}> ids and what they come to, best first
     */
    public function pairs(array $people, float $atLeast, ?\Closure $progress = null): array
    {
        $counted = new Counted();
        foreach ($people as $person) {
            $counted->add($person);
        }
        $judge = new Judge($this->forms, $counted, $this->weights, $this->thresholds);
        $ids = array_map(strval(...), array_keys($people));
        $pairs = [];
        foreach ($this->candidates(array_values($people)) as $i => $others) {
            foreach ($others as $j) {
                $judgement = $judge->judge($people[$ids[$j]], $people[$ids[$i]]);
                if ($judgement->probability >= $atLeast) {
                    $pairs[] = [$ids[$j], $ids[$i], $judgement];
                }
            }
            if (null !== $progress && 0 === $i % 500) {
                $progress($i);
            }
        }
        usort($pairs, static fn (array $a, array $b): int => [$b[2]->probability, $a[0], $a[1]] <=> [$a[2]->probability, $b[0], $b[1]]);

        return $pairs;
    }

    /**
     * @param list<Person> $people
     *
     * @return iterable<int, list<int>> for each person those before who share a key
     */
    public function candidates(array $people): iterable
    {
        $blocking = new BlockingKeys($this->forms);
        $blocks = [];
        foreach ($people as $i => $person) {
            $others = [];
            foreach ($blocking->of($person) as $key) {
                if (\count($blocks[$key] ?? []) < BlockingKeys::LARGEST_BLOCK) {
                    foreach ($blocks[$key] ?? [] as $j) {
                        $others[$j] = $j;
                    }
                }
                $blocks[$key][] = $i;
            }
            yield $i => array_values($others);
        }
    }
}
