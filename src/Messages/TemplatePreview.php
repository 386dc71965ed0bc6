<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Telamon\Core\Messages\TextLength;

/** How a template reads: with a record that is there, or with examples where there is none. */
final readonly class TemplatePreview
{
    /** @param iterable<GivesExamples> $givers */
    public function __construct(private TemplateWriter $writer, private OwnWords $words, #[AutowireIterator('telamon.gives_examples')] private iterable $givers)
    {
    }

    /** @return list<array{id: string, label: string, path: string}> the newest first */
    public function records(Purpose $purpose): array
    {
        return $this->giver($purpose)?->records() ?? [];
    }

    /**
     * @param list<string> $known fields
     *
     * @return array<string, mixed> as TemplatePreview in the contract
     */
    public function show(TemplateText $text, Purpose $purpose, array $known, string $record): array
    {
        $values = '' === $record ? null : $this->giver($purpose)?->values($record);
        $written = $this->writer->fill($text, $values ?? $this->words->examples(array_values(array_diff($known, ['business', 'business_phone', 'signature']))));

        return [
            'subject' => $written->subject, 'text' => $written->text, 'html' => $written->html, 'textMessage' => $written->textMessage,
            'gaps' => $this->words->of(array_values(array_unique([...$written->gaps, ...$written->textGaps]))),
            'values' => (object) array_intersect_key(($values ?? []) + $this->words->examples(null === $values ? $known : []), array_flip($known)),
            'length' => self::length($written->textMessage),
        ];
    }

    private function giver(Purpose $purpose): ?GivesExamples
    {
        foreach ($this->givers as $giver) {
            if ($giver->purpose() === $purpose) {
                return $giver;
            }
        }

        return null;
    }

    /** @return array{places: int, parts: int, left: int, wide: list<string>} as TextLength in the contract */
    public static function length(string $text): array
    {
        $length = TextLength::of($text);

        return ['places' => $length->places, 'parts' => $length->parts, 'left' => $length->left, 'wide' => $length->wide];
    }
}
