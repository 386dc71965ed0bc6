<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Reading;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Reading\EmailReader;
use Telamon\Core\Reading\NameReader;
use Telamon\Core\Reading\PhoneReader;
use Telamon\Core\Time\DayOrder;
use Telamon\Core\Time\DayReader;

final class ReadersTest extends TestCase
{
    /** @param list<string> $expected */
    #[DataProvider('days')]
    public function testDays(string $text, DayOrder $order, array $expected): void
    {
        self::assertSame($expected, array_map(static fn (\DateTimeImmutable $day): string => $day->format('Y-m-d'), (new DayReader())->read($text, $order)));
    }

    /**
     * ISO 8601 days, and 04/05/2027, which is 4 May day first and 5 April month first.
     *
     * @return iterable<string, array{string, DayOrder, list<string>}>
     */
    public static function days(): iterable
    {
        yield 'ISO 8601' => ['2027-05-04', DayOrder::Unstated, ['2027-05-04']];
        yield 'figures, day first' => ['04/05/2027', DayOrder::DayFirst, ['2027-05-04']];
        yield 'figures, month first' => ['04/05/2027', DayOrder::MonthFirst, ['2027-04-05']];
        yield 'figures, nobody said' => ['04/05/2027', DayOrder::Unstated, ['2027-04-05', '2027-05-04']];
        yield 'figures that fit one order only' => ['24/05/2027', DayOrder::Unstated, ['2027-05-24']];
        yield 'figures that are the same day either way' => ['05/05/2027', DayOrder::Unstated, ['2027-05-05']];
        yield 'points' => ['4.5.2027', DayOrder::DayFirst, ['2027-05-04']];
        yield 'words' => ['12 June 2027', DayOrder::Unstated, ['2027-06-12']];
        yield 'words, short' => [' 3rd Sept. 2027 ', DayOrder::Unstated, ['2027-09-03']];
        yield 'words, month first' => ['June 12, 2027', DayOrder::Unstated, ['2027-06-12']];
        yield 'the last of February in a leap year' => ['29/02/2028', DayOrder::DayFirst, ['2028-02-29']];
        yield 'the last of February in another' => ['29/02/2027', DayOrder::DayFirst, []];
        yield 'month thirteen both ways' => ['13/13/2027', DayOrder::Unstated, []];
        yield 'mixed signs' => ['04/05-2027', DayOrder::DayFirst, []];
        yield 'a month that is none' => ['12 Juli 2027', DayOrder::Unstated, []];
        yield 'two-figure year' => ['04/05/27', DayOrder::DayFirst, []];
        yield 'text' => ['soon', DayOrder::Unstated, []];
        yield 'nothing' => ['', DayOrder::Unstated, []];
    }

    /** E.164; the Irish range 020 91x xxxx is set aside for fiction (ComReg). */
    #[DataProvider('phones')]
    public function testPhones(string $text, ?string $expected): void
    {
        $reader = new PhoneReader('IE');
        self::assertSame($expected, $reader->read($text));
        self::assertSame(null === $expected, null !== $reader->fault($text));
    }

    /** @return iterable<string, array{string, string|null}> */
    public static function phones(): iterable
    {
        yield 'national' => ['020 914 3327', '+353209143327'];
        yield 'international' => ['+353 20 914 3327', '+353209143327'];
        yield 'with zeros' => ['00353 (20) 914-3327', '+353209143327'];
        yield 'another country' => ['+44 20 7946 0958', '+442079460958'];
        yield 'letters' => ['020 CALL ME', null];
        yield 'too short' => ['12', null];
        yield 'too long' => ['020 914 3327 914 3327 914', null];
        yield 'nothing' => ['', null];
    }

    public function testPhonesAreShownInternationally(): void
    {
        self::assertSame('+353 20 914 3327', (new PhoneReader(static fn (): string => 'IE'))->format('+353209143327'));
    }

    /** Syntax of RFC 5321, 5322 and 6531. */
    #[DataProvider('emails')]
    public function testEmails(string $text, ?string $expected): void
    {
        $reader = new EmailReader();
        self::assertSame($expected, $reader->read($text));
        self::assertSame(null === $expected, null !== $reader->fault($text));
    }

    /** @return iterable<string, array{string, string|null}> */
    public static function emails(): iterable
    {
        yield 'plain' => [' Orla.Fennick@Example.COM ', 'Orla.Fennick@example.com'];
        yield 'with a tag' => ['orla+piano@example.com', 'orla+piano@example.com'];
        // RFC 5321 allows it; refused, for signs that mean something to a mail program go no further than this.
        yield 'quoted' => ['"orla fennick"@example.com', null];
        yield 'with a comment' => ['orla(at work)@example.com', null];
        yield 'with fields of a letter' => ['orla?bcc=all@example.com', null];
        yield 'other letters' => ['órla@exámple.com', 'órla@exámple.com'];
        yield 'no at' => ['orla.example.com', null];
        yield 'no domain' => ['orla@', null];
        yield 'nobody' => ['@example.com', null];
        yield 'no ending' => ['orla@example', null];
        yield 'a blank' => ['orla fennick@example.com', null];
        yield 'two points' => ['orla..fennick@example.com', null];
        yield 'two at' => ['orla@fennick@example.com', null];
        yield 'too long' => [str_repeat('o', 250).'@example.com', null];
    }

    public function testEmailsMeetInSmallLetters(): void
    {
        self::assertSame((new EmailReader())->key('ORLA@example.com'), (new EmailReader())->key('orla@Example.com '));
    }

    #[DataProvider('names')]
    public function testNames(string $text, string $given, string $family): void
    {
        $name = (new NameReader())->read($text);
        self::assertSame([$given, $family], [$name->given, $name->family]);
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function names(): iterable
    {
        yield 'two' => ['Orla Fennick', 'Orla', 'Fennick'];
        yield 'three' => ['Orla Mary Fennick', 'Orla Mary', 'Fennick'];
        yield 'family first' => ['Fennick, Orla', 'Orla', 'Fennick'];
        yield 'a particle' => ['Maeve Ó Garrow', 'Maeve', 'Ó Garrow'];
        yield 'two particles' => ['Jan van der Marl', 'Jan', 'van der Marl'];
        yield 'one word' => ['Orla', 'Orla', ''];
        yield 'white space and breaks' => ["  Orla\n\tFennick ", 'Orla', 'Fennick'];
        yield 'nothing' => ['', '', ''];
        yield 'only a comma' => [',', ',', ''];
        yield 'own spelling is kept' => ['orla MacFENNICK', 'orla', 'MacFENNICK'];
    }

    public function testAFullNameComesBack(): void
    {
        self::assertSame('Orla Fennick', (new NameReader())->read('Fennick, Orla')->full());
    }
}
