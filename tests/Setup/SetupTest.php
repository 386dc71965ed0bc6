<?php

declare(strict_types=1);

namespace Telamon\Tests\Setup;

use PHPUnit\Framework\Attributes\DataProvider;
use Telamon\Tests\Support\AppTestCase;

final class SetupTest extends AppTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    public function testACustomFieldIsAddedRenamedAndRetired(): void
    {
        $setup = $this->post('/api/setup/custom-fields', ['record' => 'asset', 'label' => 'Größe, in cm', 'kind' => 'number'])->ok(201);
        self::assertSame(
            [['asset', 'grosse_in_cm', 'Größe, in cm', 'number', false]],
            array_map(static fn (array $f): array => [$f['record'], $f['key'], $f['label'], $f['kind'], $f['retired']], $setup->rows('customFields')),
        );
        $id = $setup->text('customFields.0.id');
        self::assertContains('custom.asset.grosse_in_cm', $this->kinds('number'));
        self::assertNotContains('custom.asset.grosse_in_cm', $this->kinds('short-text'));
        $changed = $this->call('PUT', "/api/setup/custom-fields/$id", ['label' => 'Width', 'choices' => [], 'retired' => true])->ok();
        self::assertSame(['grosse_in_cm', 'Width', true], [$changed->text('customFields.0.key'), $changed->text('customFields.0.label'), $changed->at('customFields.0.retired')]);
        self::assertNotContains('custom.asset.grosse_in_cm', $this->kinds('number'), 'what is retired is not offered');
        $second = $this->post('/api/setup/custom-fields', ['record' => 'asset', 'label' => 'Grosse in cm', 'kind' => 'text'])->ok(201);
        self::assertSame('grosse_in_cm_2', $second->text('customFields.1.key'), 'a key is never used twice');
    }

    public function testAChoiceKeepsWhatItOffers(): void
    {
        $setup = $this->post('/api/setup/custom-fields', ['record' => 'client', 'label' => 'Room', 'kind' => 'choice', 'choices' => [' Hall ', 'Parlour', 'Hall', '']])->ok(201);
        self::assertSame(['Hall', 'Parlour'], $setup->at('customFields.0.choices'));
    }

    /** @param array<string, mixed> $body */
    #[DataProvider('wrong')]
    public function testWhatIsWrongStandsBesideItsField(array $body, string $field): void
    {
        $this->post('/api/setup/custom-fields', ['record' => 'client', 'label' => 'Floor', 'kind' => 'number'])->ok(201);
        self::assertSame([$field], array_keys($this->post('/api/setup/custom-fields', $body)->ok(422)->violations()));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        yield 'no record' => [['record' => 'staff', 'label' => 'X', 'kind' => 'text'], 'record'];
        yield 'no name' => [['record' => 'client', 'label' => ' ', 'kind' => 'text'], 'label'];
        yield 'a name that is taken' => [['record' => 'client', 'label' => 'FLOOR', 'kind' => 'text'], 'label'];
        yield 'no kind' => [['record' => 'client', 'label' => 'X', 'kind' => 'song'], 'kind'];
        yield 'a choice of nothing' => [['record' => 'client', 'label' => 'X', 'kind' => 'choice', 'choices' => [' ']], 'choices'];
    }

    public function testHowPeopleAreMatched(): void
    {
        $setup = $this->call('PUT', '/api/setup/matching', ['sameFrom' => 95, 'perhapsFrom' => 40, 'againDays' => 14])->ok();
        self::assertSame([95, 40, 14], [$setup->number('sameFrom'), $setup->number('perhapsFrom'), $setup->number('againDays')]);
        foreach ([['sameFrom' => 100], ['perhapsFrom' => 95], ['againDays' => -1], ['sameFrom' => '95']] as $wrong) {
            self::assertSame(
                [array_key_first($wrong)],
                array_keys($this->call('PUT', '/api/setup/matching', $wrong + ['sameFrom' => 95, 'perhapsFrom' => 40, 'againDays' => 14])->ok(422)->violations()),
            );
        }
    }

    public function testHowSubmissionsAreTaken(): void
    {
        $setup = $this->get('/api/setup')->ok();
        self::assertSame([true, 30], [$setup->at('shortensAddresses'), $setup->number('unfinishedMinutes')]);
        $changed = $this->call('PUT', '/api/setup/intake', ['shortensAddresses' => false, 'unfinishedMinutes' => 45])->ok();
        self::assertSame([false, 45], [$changed->at('shortensAddresses'), $changed->number('unfinishedMinutes')]);
        $this->call('PUT', '/api/setup/intake', ['shortensAddresses' => true, 'unfinishedMinutes' => 0])->ok(422);
        self::assertSame('changed how submissions are taken', $this->db()->fetchOne('SELECT words FROM change_set ORDER BY rowid DESC LIMIT 1'));
    }

    public function testFieldStaffHaveNoPartInIt(): void
    {
        $this->call('DELETE', '/api/session');
        $this->signIn('pim@marrowby.example');
        $this->get('/api/setup')->ok(403);
    }

    /** @return list<string> where answers of this kind may go */
    private function kinds(string $kind): array
    {
        foreach ($this->get('/api/forms/kinds')->ok()->rows('kinds') as $row) {
            if ($row['kind'] === $kind) {
                self::assertIsArray($row['destinations']);

                return array_values(array_filter($row['destinations'], \is_string(...)));
            }
        }
        self::fail("no kind $kind");
    }
}
