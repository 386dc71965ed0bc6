<?php

declare(strict_types=1);

namespace Telamon\Tests\Access;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Session\Session;
use Symfony\Component\HttpFoundation\Session\Storage\MetadataBag;
use Symfony\Component\HttpFoundation\Session\Storage\MockArraySessionStorage;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\HttpKernelInterface;
use Telamon\Access\SessionLimits;
use Telamon\Access\SessionSweep;
use Telamon\Staff\Role;
use Telamon\Staff\Staff;

final class SessionLimitsTest extends TestCase
{
    #[DataProvider('ages')]
    public function testASessionEnds(int $createdAgo, int $usedAgo, bool $stays): void
    {
        $storage = new MockArraySessionStorage('telamon');
        $storage->setSessionData([
            '_sf2_meta' => [MetadataBag::CREATED => time() - $createdAgo, MetadataBag::UPDATED => time() - $usedAgo, MetadataBag::LIFETIME => 0],
            '_sf2_attributes' => ['who' => 'nessa'],
        ]);
        $request = Request::create('/api/session');
        $request->cookies->set('telamon', 'x');
        $request->setSession(new Session($storage));
        (new SessionLimits())(new RequestEvent(self::createStub(HttpKernelInterface::class), $request, HttpKernelInterface::MAIN_REQUEST));
        self::assertSame($stays, 'nessa' === $request->getSession()->get('who'));
    }

    /** @return iterable<string, array{int, int, bool}> */
    public static function ages(): iterable
    {
        yield 'in use' => [3 * 3600, 60, true];
        yield 'left for the night' => [6 * 3600, 5 * 3600, false];
        yield 'used for a day without end' => [17 * 3600, 60, false];
    }

    public function testWhatEndedIsSweptAway(): void
    {
        $data = sys_get_temp_dir().'/telamon-sweep-'.bin2hex(random_bytes(4));
        mkdir("$data/sessions", 0o700, true);
        touch("$data/sessions/sess_old", time() - SessionLimits::IDLE - 60);
        touch("$data/sessions/sess_new");
        $sweep = new SessionSweep($data);
        self::assertCount(1, $sweep->due());
        array_map($sweep->carryOut(...), $sweep->due());
        self::assertSame(["$data/sessions/sess_new"], glob("$data/sessions/*"));
        unlink("$data/sessions/sess_new");
        rmdir("$data/sessions");
        rmdir($data);
    }

    public function testASessionHoldsNoHashOfAPassword(): void
    {
        $staff = new Staff('a@example.com', 'A', 'A', Role::Owner);
        $staff->keepPassword('$2y$04$abcdefghijklmnopqrstuv');
        self::assertStringNotContainsString('abcdefghijkl', serialize($staff));
        $again = unserialize(serialize($staff));
        self::assertInstanceOf(Staff::class, $again);
        self::assertSame(hash('crc32c', $staff->passwordHash), $again->passwordHash);
        self::assertSame($staff->id, $again->id);
    }
}
