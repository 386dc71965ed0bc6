<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Telamon\Clients\Client;

/** Finds the way of a channel. */
final readonly class Ways
{
    /** @param iterable<Way> $ways */
    public function __construct(#[AutowireIterator('telamon.message_way')] private iterable $ways)
    {
    }

    public function of(Channel $channel): Way
    {
        foreach ($this->ways as $way) {
            if ($way::channel() === $channel) {
                return $way;
            }
        }
        throw new \LogicException("nobody carries what goes by {$channel->value}");
    }

    /** @return list<array<string, mixed>> each as MessageWay in the contract */
    public function offered(?Client $client): array
    {
        return array_map(function (Channel $channel) use ($client): array {
            $carries = $channel->carries();

            return [
                'value' => $channel->value,
                'label' => $carries->words,
                'isLetter' => $carries->isLetter,
                'takesFiles' => $carries->takesFiles,
                'input' => $carries->input,
                'act' => $carries->act,
                'to' => null === $client ? '' : $this->of($channel)->of($client),
            ];
        }, Channel::cases());
    }
}
