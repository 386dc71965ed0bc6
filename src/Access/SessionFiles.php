<?php

declare(strict_types=1);

namespace Telamon\Access;

use Symfony\Component\HttpFoundation\Session\Storage\Handler\NativeFileSessionHandler;

/** Keeps sessions in the data folder. One in which nothing has changed is only marked as still in use, not written anew. */
final class SessionFiles extends NativeFileSessionHandler implements \SessionUpdateTimestampHandlerInterface
{
    public function validateId(string $id): bool
    {
        return 1 === preg_match('/^[A-Za-z0-9,-]+$/D', $id) && is_file(self::path($id));
    }

    public function updateTimestamp(string $id, string $data): bool
    {
        return touch(self::path($id));
    }

    /** As PHP's own handler of files names them. */
    private static function path(string $id): string
    {
        return \ini_get('session.save_path').'/sess_'.$id;
    }
}
