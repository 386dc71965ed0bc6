<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Matching\Candidate;
use Telamon\Core\Plan\SentBefore;

/** What is there already of whoever wrote. */
final readonly class OnFile
{
    /**
     * @param list<Candidate> $candidates clients that it may belong to, the likeliest first
     * @param list<SentBefore> $sent what this submission has led to before, when a plan was accepted and taken back
     * @param array<string, string> $merge fields for texts of rules beside the answers: what is known of a project
     */
    public function __construct(public array $candidates = [], public array $sent = [], public array $merge = [])
    {
    }

    /** @return array<string, array{label: string, more: string}> by “kind:id”: what a sentence may name */
    public function records(): array
    {
        $records = [];
        foreach ($this->candidates as $candidate) {
            $client = $candidate->client;
            $records["client:{$client->id}"] = ['label' => $client->name, 'more' => ", client since {$client->sinceYear}"];
            foreach ($client->assets as $asset) {
                $records["asset:{$asset['id']}"] = ['label' => $asset['description'], 'more' => ''];
            }
            foreach ($client->openProjects as $project) {
                $records["project:{$project['id']}"] = ['label' => "{$project['number']} {$project['title']}", 'more' => ''];
            }
        }

        return $records;
    }
}
