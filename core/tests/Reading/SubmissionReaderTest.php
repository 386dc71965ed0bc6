<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Reading;

use PHPUnit\Framework\TestCase;
use Telamon\Core\Form\Destination;
use Telamon\Core\Tests\Fixtures;

final class SubmissionReaderTest extends TestCase
{
    public function testAnswersBecomeTypedAndKeepTheirText(): void
    {
        $readings = Fixtures::reader()->read(Fixtures::form(), ['email' => ' Orla@Example.com ', 'service' => 'repair', 'photos' => ['a', 'b']] + Fixtures::answers());
        self::assertSame('+353209143327', $readings->for(Destination::ClientPhone)?->string());
        self::assertSame('Orla@example.com', $readings->for(Destination::ClientEmail)?->string());
        self::assertSame('Repair it', $readings->for(Destination::ProjectService)?->text);
        self::assertSame('repair', $readings->for(Destination::ProjectService)->string());
        self::assertSame(['a', 'b'], $readings->for(Destination::Files)?->value);
        self::assertSame('', $readings->for(Destination::Files)->string());
        self::assertSame(0, $readings->doubts());
    }

    public function testADoubtKeepsBothValuesAndNeither(): void
    {
        $reading = Fixtures::reader()->read(Fixtures::form(), ['wanted_by' => '04/05/2027'])->for(Destination::ProjectReadyBy);
        self::assertNotNull($reading);
        self::assertTrue($reading->isDoubtful());
        self::assertNull($reading->value);
        self::assertSame(['2027-04-05', '2027-05-04'], $reading->possible);
    }

    public function testEmptyAnswersAreNotRead(): void
    {
        self::assertSame([], Fixtures::reader()->read(Fixtures::form(), ['name' => ' ', 'photos' => [], 'matter' => null])->all);
    }

    public function testAReadingThatFailsKeepsItsText(): void
    {
        $reading = Fixtures::reader()->read(Fixtures::form(), ['phone' => 'ask my wife'])->for(Destination::ClientPhone);
        self::assertSame('ask my wife', $reading?->text);
        self::assertNull($reading->value);
    }
}
