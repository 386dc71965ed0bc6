<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Telamon\Business\Profile;
use Telamon\Clients\Asset;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Core\Effects\QueueMessage;
use Telamon\Core\Plan\Effect;
use Telamon\Core\Reading\NameReader;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;
use Telamon\Projects\Project;

/**
 * Queues a message about what the lines before it made.
 *
 * @implements EffectHandler<QueueMessage>
 */
final readonly class QueueMessageHandler implements EffectHandler
{
    public function __construct(
        private MessageQueue $messages,
        private NameReader $names,
        private Profile $business,
        private ProjectFields $fields,
        #[Autowire(env: 'TELAMON_URL')]
        private string $address = '',
    ) {
    }

    public static function of(): string
    {
        return QueueMessage::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof QueueMessage);
        $project = $made->find(Project::class);
        $client = $made->find(Client::class);
        $asset = $made->find(Asset::class);
        $toName = $effect->toName;

        return [$this->messages->queue($effect->template, $effect->to, $toName, [
            'first_name' => $this->names->read($toName)->given,
            'client' => $client?->name() ?? $made->occasion->name ?? '',
            'asset' => $asset->description ?? $this->business->business()->assetWord,
            'place' => $asset->place ?? '',
            'notes' => $project->notes ?? '',
            'why' => $effect->why,
            'phone' => $this->phoneOf($client),
            'link' => $this->link($project, $client),
        ] + $this->fields->of($client, $project, $made->occasion->number ?? ''), $client, $project, $made->occasion?->id, $effect->says, true)];
    }

    /** Whom to ring, as it is read aloud. */
    private function phoneOf(?Client $client): string
    {
        foreach ($client->contactPoints ?? [] as $point) {
            if (ContactKind::Phone === $point->kind) {
                return $this->business->phoneReader()->format($point->value);
            }
        }

        return '';
    }

    /** Where staff look: empty while nobody has said under which address Telamon is reached. */
    private function link(?Project $project, ?Client $client): string
    {
        $path = match (true) {
            null !== $project => "/projects/{$project->id}",
            null !== $client => "/clients/{$client->id}",
            default => '',
        };

        return '' === $this->address || '' === $path ? '' : rtrim($this->address, '/').$path;
    }
}
