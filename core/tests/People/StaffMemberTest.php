<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\People;

use PHPUnit\Framework\TestCase;
use Telamon\Core\People\StaffMember;

final class StaffMemberTest extends TestCase
{
    public function testSomebodyIsCalledByTheFirstOfTheirNamesUnlessThatIsNone(): void
    {
        foreach ([
            'Nessa Quarle' => 'Nessa',
            'Sorcha' => 'Sorcha',
            ' Pim  Tarrow' => 'Pim',
            'The Owner' => 'The Owner',
            'Dr. Vell' => 'Dr. Vell',
            'Thea Owens' => 'Thea',
            'The' => 'The',
        ] as $name => $called) {
            self::assertSame($called, (new StaffMember('s1', $name, 's@example.org'))->firstName());
        }
    }
}
