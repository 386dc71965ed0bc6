<?php

declare(strict_types=1);

namespace Telamon\Matching;

use Doctrine\DBAL\Connection;
use Telamon\Core\Matching\DuplicateFinder;
use Telamon\Core\Matching\Judgement;
use Telamon\Core\Matching\ShortForms;

/** Finds the clients on file that may be one person. */
final readonly class Duplicates
{
    public function __construct(private PeopleOnFile $people, private MatchSettings $settings, private ShortForms $forms, private Connection $db)
    {
    }

    /**
     * @param float|null $atLeast probability; from the threshold for “perhaps” on where null
     *
     * @return list<array{string, string, Judgement}> ids of two clients, best first; without those told apart
     */
    public function pairs(?float $atLeast = null): array
    {
        $thresholds = $this->settings->thresholds();
        $pairs = (new DuplicateFinder($this->forms, $this->settings->weights(), $thresholds))->pairs($this->people->all(), $atLeast ?? $thresholds->perhaps);
        $apart = [];
        foreach ($this->db->iterateNumeric('SELECT one_id, other_id FROM told_apart') as $row) {
            $apart[self::key(\is_string($row[0]) ? $row[0] : '', \is_string($row[1]) ? $row[1] : '')] = true;
        }

        return array_values(array_filter($pairs, static fn (array $pair): bool => !isset($apart[self::key($pair[0], $pair[1])])));
    }

    /** @return array<string, string> what another system calls the clients, by id; those without are left out */
    public function externalIds(): array
    {
        return $this->texts("SELECT id, external_id FROM client WHERE external_id <> ''");
    }

    /** @return array<string, string> by id */
    public function names(): array
    {
        return $this->texts("SELECT id, TRIM(given_name || ' ' || family_name) FROM client");
    }

    /** @return array<string, string> */
    private function texts(string $sql): array
    {
        $texts = [];
        foreach ($this->db->iterateNumeric($sql) as $row) {
            $texts[\is_string($row[0]) ? $row[0] : ''] = \is_string($row[1]) ? $row[1] : '';
        }

        return $texts;
    }

    private static function key(string $a, string $b): string
    {
        return $a < $b ? "$a $b" : "$b $a";
    }
}
