<?php

declare(strict_types=1);

namespace Telamon\Tests\Support;

use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Tester\CommandTester;

/** Runs console commands on the data folder of a test. */
trait CommandRun
{
    /** @param array<string, mixed> $input */
    protected function command(string $name, array $input = [], int $status = 0): string
    {
        $tester = new CommandTester((new Application(self::$kernel ?? self::bootKernel()))->find($name));
        self::assertSame($status, $tester->execute($input, ['capture_stderr_separately' => true]), $tester->getDisplay().$tester->getErrorOutput());

        return $tester->getDisplay().$tester->getErrorOutput();
    }
}
