<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Telamon\Business\Profile;
use Telamon\Core\Messages\DocumentWriter;
use Telamon\Core\Messages\FieldLine;
use Telamon\Core\Messages\OpenPlaces;

/** Fills a template. */
final readonly class TemplateWriter
{
    public function __construct(private Profile $business)
    {
    }

    /**
     * @param array<string, string> $values by field, beyond those of the business
     * @param array<string, string> $words by field, for this once: instead of what nothing fills; empty leaves its sentence out
     */
    public function fill(TemplateText $text, array $values, array $words = []): Written
    {
        $values = array_filter($words, static fn (string $word): bool => '' !== $word) + $values + $this->ofBusiness();
        $body = (new DocumentWriter())->fill($text->document, $values, $words);
        $subject = new FieldLine($text->subject);
        $short = new FieldLine($text->textMessage);

        return new Written(
            $subject->oneLine($values),
            $body->document,
            $body->text,
            $body->html,
            '' === $text->textMessage ? '' : $short->filled($values),
            array_values(array_diff(array_unique([...$subject->gaps($values), ...$body->gaps]), array_keys($words))),
            array_values(array_diff($short->gaps($values), array_keys($words))),
            $body->pictures,
        );
    }

    /**
     * A template to be written on by hand: what nothing fills is a place in square brackets.
     *
     * @param array<string, string> $values by field, beyond those of the business
     *
     * @return array{Written, list<string>} with its places
     */
    public function byHand(TemplateText $text, array $values): array
    {
        $open = new OpenPlaces($values + $this->ofBusiness(), FieldWords::place(...));
        $opened = new TemplateText($text->name, $open->line($text->subject), $open->document($text->document), $open->line($text->textMessage), $text->enclosed);

        return [$this->fill($opened, $values), $open->places()];
    }

    /** @return array<string, string> */
    private function ofBusiness(): array
    {
        $business = $this->business->business();
        $phone = '' === $business->phone ? '' : $this->business->phoneReader()->format($business->phone);

        return [
            'business' => $business->name,
            'business_phone' => $phone,
            'signature' => '' === trim($business->signature)
                ? trim("{$this->business->coordinator()->name}\n{$business->name}".('' === $phone ? '' : ", $phone"))
                : $business->signature,
        ];
    }
}
