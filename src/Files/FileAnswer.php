<?php

declare(strict_types=1);

namespace Telamon\Files;

use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;

/** Sends the bytes of a file to whoever has been found to be allowed: pictures to be shown, all else to be saved. */
final readonly class FileAnswer
{
    private const SHOWN = ['image/jpeg', 'image/png', 'image/webp', 'image/gif'];

    public function __construct(private FileStore $store)
    {
    }

    public function of(Attachment $attachment, Request $request): Response
    {
        $handle = $this->store->open($attachment->file);
        $shown = \in_array($attachment->file->type, self::SHOWN, true);
        $full = str_replace(['/', '\\'], '_', FileKind::fittingName($attachment->name, $attachment->file->type));
        $plain = (string) preg_replace('/[^\x20-\x7e]|%/', '_', $full);
        $response = new StreamedResponse(static function () use ($handle): void {
            fpassthru($handle);
        }, 200, [
            'Content-Type' => $attachment->file->type,
            'Content-Length' => (string) $attachment->file->size,
            'Content-Disposition' => HeaderUtils::makeDisposition($shown ? 'inline' : 'attachment', $full, $plain),
            // Asked for anew each time: after signing out, nothing is shown from what the browser kept.
            'Cache-Control' => 'private, no-cache, must-revalidate',
            'ETag' => "\"{$attachment->file->sha256}\"",
        ]);
        $response->isNotModified($request);

        return $response;
    }
}
