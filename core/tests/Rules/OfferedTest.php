<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Rules;

use PHPUnit\Framework\TestCase;
use Telamon\Core\Rules\Actions;
use Telamon\Core\Rules\ActionText;
use Telamon\Core\Rules\InvalidRule;
use Telamon\Core\Rules\Trigger;
use Telamon\Core\Rules\Triggers;

/** What the editor of rules is offered: the browser's tests show the same file. */
final class OfferedTest extends TestCase
{
    public function testWhatIsOfferedIsWhatTheBrowserIsTestedWith(): void
    {
        $file = json_decode((string) file_get_contents(__DIR__.'/../../../tests/fixtures/rules.json'), true, 16, \JSON_THROW_ON_ERROR);
        self::assertIsArray($file);
        self::assertSame($file['actions'], Actions::offered());
        self::assertSame($file['triggers'], array_map(static fn (Trigger $trigger): array => $trigger->toArray(), Triggers::all()));
    }

    public function testEveryFieldThatIsOfferedIsOneThatTheActionReads(): void
    {
        foreach (Actions::ALL as $action) {
            foreach ($action::fields() as $field) {
                $name = $field->toArray()['name'];
                self::assertIsString($name);
                try {
                    // A list in the place of a value is wrong for whoever looks at it.
                    $action::read(new ActionText(
                        ['record' => 'client', 'about' => 'quote', 'field' => 'notes', $name => []] + array_fill_keys(
                            ['staff', 'checklist', 'name', 'doer', 'tag', 'stage', 'text', 'value', 'template', 'page', 'visit', 'followUp', 'form', 'room'],
                            'x',
                        ) + ['days' => '1'],
                        'then.0',
                    ));
                    self::fail($action::name()." does not read $name");
                } catch (InvalidRule $error) {
                    self::assertSame("then.0.$name", $error->field);
                }
            }
        }
    }

    public function testEveryTriggerIsFoundByItsName(): void
    {
        foreach (Triggers::ALL as $trigger) {
            self::assertInstanceOf($trigger, Triggers::find($trigger::name()));
        }
        self::assertNull(Triggers::find('moon'));
    }
}
