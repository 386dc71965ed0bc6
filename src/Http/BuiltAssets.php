<?php

declare(strict_types=1);

namespace Telamon\Http;

/** Finds the files that the front-end build made for an entry, from its manifest. */
final readonly class BuiltAssets
{
    public function __construct(private string $projectFolder)
    {
    }

    /** @return array{script: string, styles: list<string>, preload: list<string>} addresses below / */
    public function entry(string $name): array
    {
        $file = "{$this->projectFolder}/public/build/.vite/manifest.json";
        if (!is_file($file)) {
            return ['script' => '', 'styles' => [], 'preload' => []];
        }
        /** @var array<string, array{file: string, css?: list<string>, imports?: list<string>}> $manifest */
        $manifest = json_decode((string) file_get_contents($file), true, 16, \JSON_THROW_ON_ERROR);
        $styles = [];
        $preload = [];
        $queue = [$name];
        $seen = [];
        while (null !== ($key = array_shift($queue))) {
            if (isset($seen[$key]) || !isset($manifest[$key])) {
                continue;
            }
            $seen[$key] = true;
            array_push($styles, ...array_map(static fn (string $css): string => "/build/$css", $manifest[$key]['css'] ?? []));
            array_push($queue, ...($manifest[$key]['imports'] ?? []));
            if ($key !== $name) {
                $preload[] = '/build/'.$manifest[$key]['file'];
            }
        }

        return ['script' => isset($manifest[$name]) ? '/build/'.$manifest[$name]['file'] : '', 'styles' => $styles, 'preload' => $preload];
    }
}
