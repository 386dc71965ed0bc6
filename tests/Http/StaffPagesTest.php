<?php

declare(strict_types=1);

namespace Telamon\Tests\Http;

use Telamon\Tests\Support\AppTestCase;

/** Every area of the office is a page of its own, that a reload or a saved address finds; what is none says so. */
final class StaffPagesTest extends AppTestCase
{
    public function testEveryScreenOfTheOfficeIsThereByItsAddress(): void
    {
        $screens = [];
        foreach (glob(\dirname(__DIR__, 2).'/web/src/staff/*/area.ts') ?: [] as $area) {
            preg_match_all("~path: '([a-z-]+)~", (string) file_get_contents($area), $found);
            array_push($screens, ...$found[1]);
        }
        $screens = array_values(array_unique($screens));
        self::assertGreaterThan(10, \count($screens));
        foreach ($screens as $screen) {
            self::assertSame(200, $this->get("/$screen")->status, $screen);
        }
        self::assertSame(404, $this->get('/nowhere')->status);
    }
}
