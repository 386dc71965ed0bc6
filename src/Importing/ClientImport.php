<?php

declare(strict_types=1);

namespace Telamon\Importing;

use Doctrine\DBAL\Connection;
use Telamon\Core\Importing\ClientField;
use Telamon\Core\Importing\ClientRowReader;
use Telamon\Core\Importing\ImportedClient;
use Telamon\Core\Matching\BlockingKeys;
use Telamon\Core\Matching\Directory;
use Telamon\Core\Matching\FieldWords;
use Telamon\Core\Matching\Judge;
use Telamon\Core\Matching\Judgement;
use Telamon\Core\Matching\PersonReader;
use Telamon\Core\Matching\Verdict;

/**
 * Says what a file of clients would do, row by row, against those on file before it. Rows of one file are never
 * matched with each other: whoever keeps two numbers for one person learns so from the list of duplicates.
 */
final readonly class ClientImport
{
    public function __construct(
        private ClientRowReader $reader,
        private PersonReader $people,
        private BlockingKeys $keys,
        private Directory $directory,
        private Connection $db,
    ) {
    }

    /**
     * @param array<int, ClientField> $fields by column
     *
     * @return iterable<ImportRow>
     *
     * @throws FileNotRead
     */
    public function rows(ClientFile $file, array $fields): iterable
    {
        $seen = [];
        $judge = $this->directory->judge();
        foreach ($file->rows() as $line => $cells) {
            $client = $this->reader->read($line, $fields, $cells);
            if ([] !== $client->faults) {
                yield new ImportRow($client, 'wrong', implode('; ', $client->faults));
                continue;
            }
            if ('' !== $client->externalId && isset($seen[$client->externalId])) {
                yield new ImportRow($client, 'wrong', "the id {$client->externalId} stands in line {$seen[$client->externalId]} too");
                continue;
            }
            $seen[$client->externalId] = $line;
            yield $this->row($client, $judge);
        }
    }

    private function row(ImportedClient $client, Judge $judge): ImportRow
    {
        $known = '' === $client->externalId ? false : $this->db->fetchOne('SELECT id FROM client WHERE external_id = ? AND merged_into_id IS NULL', [$client->externalId]);
        if (\is_string($known)) {
            return new ImportRow($client, 'matched', "the id {$client->externalId} is on file", $known);
        }
        $person = $this->people->of($client->given, $client->family, $client->organisation, $client->emails, $client->phones, $client->address);
        $best = null;
        $bestId = '';
        foreach ($this->directory->people($this->keys->of($person)) as $id => $other) {
            $judgement = $judge->judge($person, $other);
            if (null === $best || $judgement->probability > $best->probability) {
                [$best, $bestId] = [$judgement, $id];
            }
        }

        return $this->judged($client, $best, $bestId);
    }

    private function judged(ImportedClient $client, ?Judgement $best, string $id): ImportRow
    {
        $left = [] === $client->left ? '' : 'cannot be read and goes to the notes: '.implode(', ', $client->left);
        if (null === $best || !\in_array($best->verdict, [Verdict::Same, Verdict::Perhaps], true)) {
            return new ImportRow($client, 'new', $left);
        }
        $words = FieldWords::percent($best->probability).' one person: '.FieldWords::agreeing($best);
        $other = $this->db->fetchOne('SELECT external_id FROM client WHERE id = ?', [$id]);
        if ('' !== $client->externalId && \is_string($other) && '' !== $other) {
            return new ImportRow($client, 'doubtful', "$words; another id there: $other", $id);
        }

        return new ImportRow($client, Verdict::Same === $best->verdict ? 'matched' : 'doubtful', $words, $id);
    }
}
