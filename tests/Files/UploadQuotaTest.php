<?php

declare(strict_types=1);

namespace Telamon\Tests\Files;

use Telamon\Files\NoRoomForFiles;
use Telamon\Files\UploadQuota;
use Telamon\Refusal\Nature;
use Telamon\Tests\Support\AppTestCase;

/** What was sent up and belongs to no inquiry yet may not fill the disk. */
final class UploadQuotaTest extends AppTestCase
{
    public function testItCountsWhatLiesThereUnsent(): void
    {
        $quota = new UploadQuota($this->db(), 1);
        $quota->refuseOverfull(1_048_576);
        $photograph = tempnam(sys_get_temp_dir(), 'photograph');
        self::assertIsString($photograph);
        $picture = imagecreatetruecolor(20, 20);
        self::assertNotFalse($picture);
        imagepng($picture, $photograph);
        $size = (int) filesize($photograph);
        $this->upload($photograph, 'keys.png')->ok(201);
        $quota->refuseOverfull(1_048_576 - $size);
        try {
            $quota->refuseOverfull(1_048_576 - $size + 1);
            self::fail('it was not refused');
        } catch (NoRoomForFiles $refusal) {
            self::assertSame(Nature::Unavailable, $refusal->nature());
        } finally {
            @unlink($photograph);
        }
    }
}
