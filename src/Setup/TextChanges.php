<?php

declare(strict_types=1);

namespace Telamon\Setup;

use Telamon\Core\Text\TemplateRenderer;
use Telamon\Core\Text\UnreadableTemplate;
use Telamon\Messages\MessageTemplate;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Changes the texts of the mails that go out; what they name has to be there. */
final readonly class TextChanges
{
    public function __construct(private SetupActs $acts, private TemplateRenderer $renderer)
    {
    }

    /** @throws Refusal */
    public function change(MessageTemplate $text, Edit $edit, Staff $staff): void
    {
        [$name, $subject, $body] = [$edit->text('name', 100) ?? $text->name, $edit->text('subject', 200) ?? $text->subject, $edit->text('body', 10_000) ?? $text->body];
        foreach (['name' => $name, 'subject' => $subject, 'body' => $body] as $field => $value) {
            if ('' === $value) {
                throw new InvalidInput($field, 'Write something here.');
            }
            if ('name' !== $field) {
                $this->check($field, $value, $text->fields());
            }
        }
        $this->acts->carryOut("changed the text “{$name}”", $staff, static fn () => $text->become($name, $subject, $body), $text->id);
    }

    /** @param list<string> $known */
    private function check(string $field, string $text, array $known): void
    {
        try {
            $named = $this->renderer->fieldsOf($text);
        } catch (UnreadableTemplate $unreadable) {
            throw new InvalidInput($field, $unreadable->getMessage());
        }
        foreach (array_diff($named, $known) as $unknown) {
            throw new InvalidInput($field, "{{{$unknown}}} is not known here. There are: ".implode(', ', $known).'.');
        }
    }
}
