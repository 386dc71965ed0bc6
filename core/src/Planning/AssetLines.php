<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Effects\FieldChange;
use Telamon\Core\Effects\MakeAsset;
use Telamon\Core\Effects\UseAsset;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Reading;
use Telamon\Core\Matching\KnownClient;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Plan\Sources;

/** The plan's lines about what the work is done on: one for each that the answers describe. */
final readonly class AssetLines
{
    private const FIELDS = [
        'description' => Destination::AssetDescription,
        'make' => Destination::AssetMake,
        'model' => Destination::AssetModel,
        'serial' => Destination::AssetSerial,
        'place' => Destination::AssetPlace,
        'notes' => Destination::AssetNotes,
    ];

    /**
     * @param array<string, string> $decisions
     *
     * @return list<PlanLine>
     */
    public function lines(PlanContext $now, ?KnownClient $client, array $decisions = []): array
    {
        $lines = [];
        $found = 0;
        foreach ($this->told($now) as $told) {
            $named = array_intersect_key($told, ['description' => 0, 'make' => 0, 'model' => 0, 'serial' => 0]);
            if ([] !== $named) {
                $key = 0 === $found ? 'asset' : 'asset.'.($found + 1);
                ++$found;
                array_push($lines, ...($this->onFile($now, $client, $told, $key, $decisions) ?? [$this->new($now, $told, $key)]));
            }
        }

        return $lines;
    }

    /** @return array<int, array<string, Reading>> by line of a table, then by field or custom field */
    private function told(PlanContext $now): array
    {
        $told = [];
        foreach ($now->inquiry->readings->all as $reading) {
            $destination = $reading->question->destination;
            $field = null === $destination ? false : array_search($destination, self::FIELDS, true);
            if (false !== $field) {
                $told[$reading->line][$field] ??= $reading;
            } elseif (Destination::AssetCustom === $destination && $reading->line > 0) {
                $told[$reading->line]["custom.{$reading->question->customField}"] ??= $reading;
            }
        }
        ksort($told);

        return $told;
    }

    /**
     * The one that is meant, and what is told of it otherwise than on file.
     *
     * @param array<string, Reading> $told
     * @param array<string, string> $decisions
     *
     * @return list<PlanLine>|null
     */
    private function onFile(PlanContext $now, ?KnownClient $client, array $told, string $key, array $decisions): ?array
    {
        foreach ($client->assets ?? [] as $asset) {
            $bySerial = isset($told['serial']) && '' !== self::plain($asset['serial'] ?? '') && self::plain($asset['serial'] ?? '') === self::plain($told['serial']->text);
            if ($bySerial || (isset($told['description']) && self::plain($asset['description']) === self::plain($told['description']->text))) {
                return [
                    PlanLine::of($key, 'Project', new UseAsset($asset['id']), $now->telling)->because($bySerial ? 'same serial number' : 'same description'),
                    ...$this->changes($now, $asset, $told, $key, $decisions),
                ];
            }
        }

        return null;
    }

    /**
     * @param array{id: string, description: string, serial?: string, make?: string, model?: string, place?: string} $asset
     * @param array<string, Reading> $told
     * @param array<string, string> $decisions
     *
     * @return list<PlanLine>
     */
    private function changes(PlanContext $now, array $asset, array $told, string $key, array $decisions): array
    {
        $lines = [];
        foreach (['make', 'model', 'serial', 'place'] as $field) {
            $reading = $told[$field] ?? null;
            // Those of further lines of a table hang on no asset of their own in the plan, and stay in the notes.
            if (null !== $reading && 'asset' === $key) {
                $line = (new FieldChange("field.asset.$field", 'asset', $field, false, 'place' === $field ? 'replace' : 'keep', 'place' === $field))
                    ->line(
                        $reading,
                        $reading->text,
                        $now->inquiry->sentText($reading),
                        [$asset[$field] ?? ''],
                        $decisions,
                        $now->telling,
                        'serial' === $field ? self::plain(...) : null,
                    );
                if (null !== $line->effect || null !== $line->choice) {
                    $lines[] = $line;
                }
            }
        }

        return $lines;
    }

    /** @param array<string, Reading> $told */
    private function new(PlanContext $now, array $told, string $key): PlanLine
    {
        $custom = [];
        foreach ($told as $field => $reading) {
            if (str_starts_with($field, 'custom.')) {
                $custom[substr($field, 7)] = $reading->string();
            }
        }
        $text = static fn (string $field): string => isset($told[$field]) ? $told[$field]->text : '';
        $description = $text('description');

        $effect = new MakeAsset(
            '' !== $description ? $description : trim($text('make').' '.$text('model')),
            $text('place'),
            $text('make'),
            $text('model'),
            $text('serial'),
            $text('notes'),
            $custom,
        );

        return PlanLine::of($key, 'Project', $effect, $now->telling, Sources::of(array_intersect_key($told, self::FIELDS)));
    }

    private static function plain(string $text): string
    {
        return mb_strtolower((string) preg_replace('/\s+/u', '', $text));
    }
}
