<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Telamon\Business\Profile;
use Telamon\Core\Messages\DocumentReader;
use Telamon\Core\Messages\DocumentWriter;
use Telamon\Core\Messages\FieldLine;
use Telamon\Core\Messages\InvalidDocument;
use Telamon\Core\Messages\MessageDocument;
use Telamon\Core\Messages\TextLength;
use Telamon\Core\Reading\EmailReader;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Record\ChangedMeanwhile;
use Telamon\Record\FreeKey;
use Telamon\Record\Hangs;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Makes, changes and retires templates. */
final readonly class TemplateChanges
{
    private const MOST = 200;

    /** @param iterable<NamesTemplates> $users */
    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private DocumentReader $reader,
        private EmailReader $emails,
        private Papers $papers,
        private Profile $business,
        private ClockInterface $clock,
        private Hangs $hangs,
        #[AutowireIterator('telamon.names_templates')]
        private iterable $users,
    ) {
    }

    /**
     * @param array<array-key, mixed> $body as TemplateDraft in the contract
     * @param list<string> $known fields
     *
     * @throws Refusal with the field that is at fault
     */
    public function check(array $body, array $known): TemplateText
    {
        $line = static function (string $field, int $most, string $empty) use ($body, $known): string {
            $text = \is_string($body[$field] ?? null) ? trim($body[$field]) : '';
            if ('' === $text && '' !== $empty) {
                throw new InvalidInput($field, $empty);
            }
            if (mb_strlen($text) > $most) {
                throw new InvalidInput($field, "Shorten this to $most characters.");
            }
            if ('name' !== $field) {
                self::refuseUnknown($field, new FieldLine($text), $known);
            }

            return $text;
        };
        try {
            $document = $this->reader->read($body['document'] ?? null);
        } catch (InvalidDocument $error) {
            throw new InvalidInput('document', $error->getMessage());
        }
        foreach (array_diff($document->fields(), $known) as $unknown) {
            throw new InvalidInput('document', "“{$unknown}” cannot be filled in here. There are: ".implode(', ', array_map(FieldWords::label(...), $known)).'.');
        }
        foreach ((new DocumentWriter())->fill($document, FieldWords::examples($document->fields()))->pictures as $picture) {
            if (!$this->papers->isForAnybody($picture)) {
                throw new InvalidInput('document', 'A picture is not there any more. Take it out.');
            }
        }
        $text = new TemplateText(
            $line('name', 100, 'Give it a name.'),
            $line('subject', 200, 'Write a subject.'),
            $document,
            $line('textMessage', 2000, ''),
            $this->enclosed($body),
        );
        if ('' === self::plain($document)) {
            throw new InvalidInput('document', 'Write something here.');
        }
        if (TextLength::of($text->textMessage)->parts > TextLength::MOST_PARTS) {
            throw new InvalidInput('textMessage', 'A text message has at most '.TextLength::MOST_PARTS.' parts. Shorten it.');
        }

        return $text;
    }

    /**
     * @param array<array-key, mixed> $body as TemplateDraft in the contract
     *
     * @throws InvalidInput
     */
    private function enclosed(array $body): Enclosed
    {
        $given = Enclosed::from($body);
        if (\count($given->papers) > Enclosed::MOST || array_unique($given->papers) !== $given->papers) {
            throw new InvalidInput('papers', 'At most '.Enclosed::MOST.' go with a message, each once.');
        }
        foreach ($given->papers as $paper) {
            if (!$this->papers->isForAnybody($paper)) {
                throw new InvalidInput('papers', 'One of these is not there any more. Take it out.');
            }
        }
        $answers = '' === trim($given->answersTo) ? '' : $this->emails->read($given->answersTo) ?? throw new InvalidInput('answersTo', 'Write a mail address, or leave it empty.');
        if (mb_strlen($given->consent) > 100) {
            throw new InvalidInput('consent', 'Shorten this to 100 characters.');
        }

        return new Enclosed($given->papers, $answers, trim($given->consent), $given->textFirst, $given->asks);
    }

    /**
     * @param array<array-key, mixed> $body as TemplateDraft in the contract
     *
     * @throws Refusal
     */
    public function make(array $body, Staff $staff): MessageTemplate
    {
        $text = $this->check($body, TemplateFields::of(''));

        return $this->changes->carryOut($this->act("made the template “{$text->name}”", $staff, null), function () use ($text): MessageTemplate {
            $there = $this->em->getRepository(MessageTemplate::class)->findAll();
            if (\count($there) >= self::MOST) {
                throw new InvalidInput('name', 'There are '.self::MOST.' templates already.');
            }
            self::refuseSameName($text->name, $there, null);
            $made = new MessageTemplate(FreeKey::of($text->name, array_map(static fn (MessageTemplate $one): string => $one->key, $there)), $text->name, '', '');
            $made->begin($text);
            $this->em->persist($made);

            return $made;
        });
    }

    /**
     * @param array<array-key, mixed> $body as TemplateDraft in the contract, with the version that was looked at
     *
     * @throws Refusal
     */
    public function change(MessageTemplate $template, array $body, Staff $staff): void
    {
        $text = $this->check($body, $template->fields());
        $this->changes->carryOut($this->act(
            "changed the template “{$text->name}”",
            $staff,
            $template,
        )->looking($template), function () use ($template, $text, $body, $staff): void {
            if (($body['version'] ?? null) !== $template->version) {
                throw new ChangedMeanwhile('Somebody else has changed this template. Look at it again; nothing was overwritten.');
            }
            self::refuseSameName($text->name, $this->em->getRepository(MessageTemplate::class)->findAll(), $template);
            $this->em->persist(new TemplateVersion($template, $staff, $this->clock->now()));
            $template->become($text);
        });
    }

    /** @throws Refusal where something needs it */
    public function retire(MessageTemplate $template, bool $retired, Staff $staff): void
    {
        if ($retired && TemplateFields::isShipped($template->key)) {
            throw new InvalidInput('retired', 'This text is sent by itself. Edit it; it cannot be put away.');
        }
        $uses = $retired ? $this->uses()[$template->key] ?? [] : [];
        $named = array_values(array_unique([...array_column($uses, 'label'), ...($retired ? $this->hangs->on($template) : [])]));
        if ([] !== $named) {
            throw new InvalidInput('retired', 'It is used: '.implode(', ', $named).'. Take it out there first.');
        }
        $this->changes->carryOut(
            $this->act(($retired ? 'put away' : 'brought back')." the template “{$template->name}”", $staff, $template),
            static fn () => $template->retire($retired),
        );
    }

    /** @throws Refusal where something rests on it */
    public function turn(MessageTemplate $template, bool $goes, Staff $staff): void
    {
        if (!TemplateFields::isOptional($template->key)) {
            throw new InvalidInput('goes', 'This one cannot be left out: a plan, or what somebody does, has promised it.');
        }
        $this->changes->carryOut(
            $this->act(($goes ? 'sends' : 'sends no more')." “{$template->name}” ".TemplateFields::sentWhen($template->key), $staff, $template),
            static fn () => $template->turn($goes),
        );
    }

    /** @return array<string, list<array{label: string, path: string}>> by key */
    public function uses(): array
    {
        $uses = [];
        foreach ($this->users as $user) {
            foreach ($user->uses() as $key => $places) {
                $uses[$key] = [...$uses[$key] ?? [], ...$places];
            }
        }

        return $uses;
    }

    /**
     * @param list<string> $known
     *
     * @throws InvalidInput
     */
    private static function refuseUnknown(string $field, FieldLine $line, array $known): void
    {
        if ($line->isBroken()) {
            throw new InvalidInput($field, 'A field is not closed, or has no name.');
        }
        foreach (array_diff($line->fields(), $known) as $unknown) {
            throw new InvalidInput($field, "“{$unknown}” cannot be filled in here. There are: ".implode(', ', array_map(FieldWords::label(...), $known)).'.');
        }
    }

    /**
     * @param list<MessageTemplate> $there
     *
     * @throws InvalidInput
     */
    private static function refuseSameName(string $name, array $there, ?MessageTemplate $but): void
    {
        foreach ($there as $one) {
            if ($one !== $but && !$one->retired && mb_strtolower($one->name) === mb_strtolower($name)) {
                throw new InvalidInput('name', 'There is a template of that name already.');
            }
        }
    }

    private static function plain(MessageDocument $document): string
    {
        return trim((new DocumentWriter())->fill($document, FieldWords::examples($document->fields()))->text);
    }

    private function act(string $words, Staff $staff, ?MessageTemplate $template): Act
    {
        $business = $this->business->business();

        return Act::of(ChangeKind::Settings, $words, $staff)->on('business', $template->id ?? $business->id, $template->name ?? $business->name);
    }
}
