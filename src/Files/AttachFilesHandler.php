<?php

declare(strict_types=1);

namespace Telamon\Files;

use Telamon\Clients\Asset;
use Telamon\Clients\Client;
use Telamon\Core\Effects\AttachFiles;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;
use Telamon\Projects\Project;

/**
 * Puts the files that came along with the records that were made.
 *
 * @implements EffectHandler<AttachFiles>
 */
final readonly class AttachFilesHandler implements EffectHandler
{
    public function __construct(private AttachmentShelf $shelf)
    {
    }

    public static function of(): string
    {
        return AttachFiles::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof AttachFiles);
        $attachments = null === $made->occasion ? [] : $this->shelf->of($made->occasion->id, $effect->question);
        foreach ($attachments as $attachment) {
            $this->shelf->putWith($attachment, $made->the(Client::class), $made->find(Project::class), $made->find(Asset::class));
        }

        return $attachments;
    }
}
