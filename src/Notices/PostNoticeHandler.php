<?php

declare(strict_types=1);

namespace Telamon\Notices;

use Telamon\Clients\Client;
use Telamon\Core\Effects\PostNotice;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;
use Telamon\Projects\Project;

/**
 * Writes the notice that a plan names.
 *
 * @implements EffectHandler<PostNotice>
 */
final readonly class PostNoticeHandler implements EffectHandler
{
    public function __construct(private Publishing $publishing, private Rooms $rooms)
    {
    }

    public static function of(): string
    {
        return PostNotice::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof PostNotice);
        $room = $this->rooms->find($effect->room);
        if (null === $room) {
            return [];
        }
        $notice = new Notice($room, $effect->words, mb_substr($effect->by, 0, 200), $made->find(Client::class), $made->find(Project::class), $made->occasion?->id, $made->now);
        $this->publishing->publish($notice);

        return [$notice];
    }
}
