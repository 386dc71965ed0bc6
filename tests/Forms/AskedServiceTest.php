<?php

declare(strict_types=1);

namespace Telamon\Tests\Forms;

use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\AsksRows;

/** A form that somebody made in the designer: its choices have keys of their own, and mean services all the same. */
final class AskedServiceTest extends AppTestCase
{
    use AsksRows;

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
    }

    public function testAChoiceIsAServiceByItsNameAndWhatFitsNoneIsAsked(): void
    {
        $this->publish(
            'Ask us',
            self::asking(
                'one-of',
                [['value' => 'c_w4hz7k2m', 'label' => 'repair'], ['value' => 'c_9tq1m3xd', 'label' => 'Colour'], ['value' => 'other', 'label' => 'Something else']],
            ),
        );
        $form = array_column($this->get('/api/forms')->ok()->rows('items'), null, 'title')['Ask us'];
        self::assertIsString($form['id']);
        self::assertStringContainsString('“Colour” is no service', (string) json_encode($this->get("/api/forms/{$form['id']}")->ok()->at('advice'), \JSON_UNESCAPED_UNICODE));

        $repair = $this->filledIn('ask-us', 'c_w4hz7k2m');
        $plan = $this->get("/api/submissions/$repair")->ok();
        self::assertStringContainsString('Repairs go to Sorcha', $plan->body, 'its lead');
        self::assertStringContainsString('Write the price', $plan->body, 'its checklist');
        self::assertStringNotContainsString('No service is called', $plan->body);
        $this->accept($repair)->ok();
        self::assertSame('repair', $this->db()->fetchOne('SELECT service FROM project'));

        $other = $this->filledIn('ask-us', 'other');
        self::assertStringNotContainsString('No service is called', $this->get("/api/submissions/$other")->ok()->body, 'offered on purpose beside the services');

        $colour = $this->filledIn('ask-us', 'c_9tq1m3xd');
        $plan = $this->get("/api/submissions/$colour")->ok();
        self::assertStringContainsString('No service is called ', $plan->body);
        $line = array_column($plan->rows('plan.lines'), null, 'key')['service'];
        self::assertIsArray($line['choice']);
        self::assertTrue($line['choice']['open'] ?? false);
        $this->accept($colour)->ok(422);
        $this->accept($colour, ['service' => 'nonsense'])->ok(422);
        $this->accept($colour, ['service' => 'repair'])->ok();
        self::assertSame('repair', $this->db()->fetchOne('SELECT service FROM project ORDER BY id DESC LIMIT 1'));
    }

    public function testWordsThatSomebodyWroteAreAServiceByItsName(): void
    {
        $this->publish('Write to us', self::asking('short-text', null));
        $named = $this->filledIn('write-to-us', 'Repair!');
        $this->accept($named)->ok();
        self::assertSame('repair', $this->db()->fetchOne('SELECT service FROM project'));
        $free = $this->filledIn('write-to-us', 'The keys stick', 'Mill Ashdown', 'mill@example.org');
        $this->accept($free)->ok(422);
        $this->accept($free, ['service' => 'none'])->ok();
        self::assertSame(['', 'The keys stick'], array_values((array) $this->db()->fetchAssociative('SELECT service, title FROM project ORDER BY id DESC LIMIT 1')));
    }

    /**
     * @param list<array{value: string, label: string}>|null $options
     *
     * @return array<string, mixed>
     */
    private static function asking(string $type, ?array $options): array
    {
        return ['pages' => [['title' => 'You', 'questions' => [
            ['key' => 'name', 'type' => 'person-name', 'wording' => 'Your name', 'required' => true, 'destination' => 'client.name'],
            ['key' => 'email', 'type' => 'email', 'wording' => 'Email', 'required' => true, 'destination' => 'client.email'],
            [
                'key' => 'what',
                'type' => $type,
                'wording' => 'What shall we do?',
                'required' => true,
                'destination' => 'project.service',
            ] + (null === $options ? [] : ['options' => $options]),
        ]]]];
    }

    private function filledIn(string $form, string $what, string $name = 'Tess Willow', string $email = 'tess.willow@example.org'): string
    {
        $this->post("/api/public/forms/$form/submissions", ['answers' => ['name' => $name, 'email' => $email, 'what' => $what]])->ok(201);
        $this->work();

        return $this->lastSubmission();
    }
}
