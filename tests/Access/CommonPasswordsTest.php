<?php

declare(strict_types=1);

namespace Telamon\Tests\Access;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Telamon\Access\CommonPasswords;
use Telamon\Access\PasswordRules;
use Telamon\Refusal\InvalidInput;

/** What is tried first by whoever guesses is no password; what somebody made up is. */
final class CommonPasswordsTest extends TestCase
{
    #[TestWith(['password2026'])]
    #[TestWith(['Password1234!'])]
    #[TestWith(['123qweasdzxc'])]
    #[TestWith(['qwertyqwerty'])]
    #[TestWith(['QWERTY-qwerty'])]
    #[TestWith(['summersummersummer'])]
    #[TestWith(['123456789012'])]
    #[TestWith(['administrator'])]
    #[TestWith(['Administrator1'])]
    #[TestWith(['  unbelievable '])]
    public function testWhatIsTriedFirstIsRefused(string $password): void
    {
        self::assertTrue(CommonPasswords::has($password));
        $this->expectException(InvalidInput::class);
        PasswordRules::check('password', $password, []);
    }

    #[TestWith(['felt hammers on monday'])]
    #[TestWith(['summer-strings-summer'])]
    #[TestWith(['xK4vTq9LmP2w'])]
    #[TestWith(['dragon8294716503'])]
    #[TestWith(['Öl für die Tasten'])]
    public function testWhatSomebodyMadeUpIsNot(string $password): void
    {
        self::assertFalse(CommonPasswords::has($password));
        PasswordRules::check('password', $password, []);
    }

    public function testTheListShipsWhole(): void
    {
        $lines = file(\dirname(__DIR__, 2).'/config/common-passwords.txt', \FILE_IGNORE_NEW_LINES);
        self::assertIsArray($lines);
        self::assertGreaterThan(10_000, \count($lines));
        self::assertSame([], array_filter($lines, static fn (string $line): bool => 1 !== preg_match('/^[0-9a-f]{12}$/D', $line)));
    }
}
