<?php

declare(strict_types=1);

namespace Telamon\Tests\Http;

use Doctrine\DBAL\Driver\Exception as DriverFault;
use Doctrine\DBAL\Exception\DriverException;
use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\HttpKernelInterface;
use Telamon\Http\Disk;
use Telamon\Http\Problem;
use Telamon\Http\ProblemResponder;
use Telamon\Tests\Support\DataFolder;

/** A disk that takes nothing more is told in words, as a problem document, and nothing is left of the attempt. */
final class FullDiskTest extends TestCase
{
    public function testItWritesBesideWhatItWroteAndLeavesOneFile(): void
    {
        $folder = DataFolder::root().'/disk';
        is_dir($folder) || mkdir($folder, 0700, true);
        (new Disk($folder))->refuseUnwritable();
        $first = file_get_contents("$folder/.health");
        (new Disk($folder))->refuseUnwritable();
        self::assertNotSame($first, file_get_contents("$folder/.health"));
        self::assertSame(['.health'], array_values(array_diff(scandir($folder) ?: [], ['.', '..'])));
    }

    public function testItRefusesWhereNothingCanBeWritten(): void
    {
        try {
            (new Disk(DataFolder::root().'/nowhere'))->refuseUnwritable();
            self::fail('it was not refused');
        } catch (Problem $problem) {
            self::assertSame(503, $problem->status);
        }
    }

    public function testADatabaseWithoutRoomIsToldAsThat(): void
    {
        // The words are SQLite's for SQLITE_FULL (code 13), https://www.sqlite.org/rescode.html#full
        $fault = new class('General error: 13 database or disk is full') extends \Exception implements DriverFault {
            public function getSQLState(): string
            {
                return 'HY000';
            }
        };
        $event = new ExceptionEvent(
            self::createStub(HttpKernelInterface::class),
            Request::create('/api/submissions'),
            HttpKernelInterface::MAIN_REQUEST,
            new DriverException($fault, null),
        );
        (new ProblemResponder())($event);
        self::assertSame(507, $event->getResponse()?->getStatusCode());
        self::assertSame('application/problem+json', $event->getResponse()->headers->get('Content-Type'));
    }
}
