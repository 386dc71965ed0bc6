<?php

declare(strict_types=1);

namespace Telamon\Files;

use Telamon\Clients\Asset;
use Telamon\Clients\Client;
use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\EffectKind;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;
use Telamon\Projects\Project;

/** Puts the files that came along with the records that were made. */
final readonly class FileWriter implements EffectHandler
{
    public function __construct(private AttachmentShelf $shelf)
    {
    }

    public static function kinds(): array
    {
        return [EffectKind::AttachFiles];
    }

    public function write(Effect $effect, Making $made): array
    {
        $attachments = null === $made->occasion ? [] : $this->shelf->of($made->occasion->id, $effect->text('question'));
        foreach ($attachments as $attachment) {
            $this->shelf->putWith($attachment, $made->the(Client::class), $made->find(Project::class), $made->find(Asset::class));
        }

        return $attachments;
    }
}
