<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Matching;

use PHPUnit\Framework\TestCase;
use Telamon\Core\Matching\ComparedField;
use Telamon\Core\Matching\Directory;
use Telamon\Core\Matching\KnownClient;
use Telamon\Core\Tests\Fixtures;

final class ClientMatcherTest extends TestCase
{
    public function testTheAddressIsLookedForInSmallLetters(): void
    {
        $directory = new class implements Directory {
            public string $asked = '';

            public function withEmail(string $key): array
            {
                $this->asked = $key;

                return [Fixtures::known()];
            }
        };
        $readings = Fixtures::reader()->read(Fixtures::form(), ['email' => 'ORLA@Example.com'] + Fixtures::answers());
        self::assertCount(1, Fixtures::matcher()->candidates($readings, $directory));
        self::assertSame('orla@example.com', $directory->asked);
    }

    public function testWithoutAnAddressNobodyIsAsked(): void
    {
        $directory = new class implements Directory {
            public function withEmail(string $key): array
            {
                throw new \LogicException('nobody is to be asked');
            }
        };
        $readings = Fixtures::reader()->read(Fixtures::form(), ['name' => 'Orla']);
        self::assertSame([], Fixtures::matcher()->candidates($readings, $directory));
    }

    public function testFieldsStandSideBySide(): void
    {
        $fields = $this->compare(Fixtures::known(name: 'Orla  FENNICK', phone: '+353209143372', address: '9 Mill Race'));
        self::assertSame([
            ['Name', true, 'same', 1], ['Email', true, 'same', 2], ['Phone', false, 'differs, both kept', 3], ['Address', false, 'differs, both kept', 6],
        ], array_map(static fn (ComparedField $field): array => [$field->field, $field->same, $field->verdict, $field->answer], $fields));
        self::assertSame(['+353 20 914 3327', '+353 20 914 3372'], [$fields[2]->here, $fields[2]->there]);
    }

    public function testANumberThatWasNotOnFileIsNew(): void
    {
        $client = new KnownClient('c1', 'Orla Fennick', 2023, ['orla@example.com'], [], '', []);
        $fields = $this->compare($client);
        self::assertSame(['none', 'new, added'], [$fields[2]->there, $fields[2]->verdict]);
        self::assertCount(3, $fields, 'no address on file, none to compare');
    }

    /** @return list<ComparedField> */
    private function compare(KnownClient $client): array
    {
        return Fixtures::matcher()->compare(Fixtures::reader()->read(Fixtures::form(), Fixtures::answers()), $client);
    }
}
