<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Replies;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Replies\ReplyStripper;

/** RFC 3676: section 4.3 for "-- ", section 4.5 for ">". How programs head what they repeat is common practice. */
final class ReplyStripperTest extends TestCase
{
    /** @return array<string, array{string, string, string}> the letter, what was said, something of what was repeated or signed */
    public static function letters(): array
    {
        return [
            'quoted lines' => ["Fine.\n\n> Is Thursday all right?\n", 'Fine.', 'Is Thursday'],
            'answers between' => ["> Which piano?\nThe upright.\n> When?\nIn May.\n", "The upright.\nIn May.", 'When?'],
            'answers between, with a head' => ["On 24 Mar, Nessa wrote:\n> Which piano?\nThe upright.\n", 'The upright.', 'Nessa wrote'],
            'a head in two lines' => [
                "Yes.\n\nOn Tuesday, 24 March 2026 at 09:24, Marrowby Piano Workshop\n<desk@marrowby.example> wrote:\nHello Hugh,\nis it a yes?\n",
                'Yes.',
                'is it a yes',
            ],
            'German' => ["Ja.\n\nAm 24.03.2026 um 09:24 schrieb Nessa Quarle <desk@marrowby.example>:\n> Passt es?\n", 'Ja.', 'Passt es'],
            'French' => ["Oui.\n\nLe 24 mars 2026 à 09:24, Nessa Quarle a écrit :\n> Cela vous va ?\n", 'Oui.', 'Cela vous va'],
            'a block of headers' => ["Go ahead.\n\nFrom: Nessa Quarle <desk@marrowby.example>\nSent: Tuesday\nSubject: Your quote\n\nShall we?\n", 'Go ahead.', 'Shall we'],
            'original message' => ["No.\n\n-----Original Message-----\nShall we?", 'No.', 'Shall we'],
            'signature' => ["See you.\n-- \nHugh Orrin\nTelephone 020 910 0111", 'See you.', 'Hugh Orrin'],
            'closing words' => ["That suits.\n\nKind regards,\nHugh Orrin\nOrrin & Daughters\n", 'That suits.', 'Orrin & Daughters'],
            'sent by a telephone' => ["Yes\n\nSent from my phone", 'Yes', 'Sent from'],
            'a rule of dashes in the text' => ["First\n--- second\nthird", "First\n--- second\nthird", ''],
            'thanks at the beginning' => ["Thanks\nWhen do you come?", "Thanks\nWhen do you come?", ''],
            'line ends of other systems' => ["Yes\r\n> quoted\r\n", 'Yes', 'quoted'],
        ];
    }

    #[DataProvider('letters')]
    public function testWhatWasSaid(string $letter, string $said, string $rest): void
    {
        $text = (new ReplyStripper())->part($letter);

        self::assertSame($said, $text->said);
        self::assertStringContainsString($rest, $text->quoted."\n".$text->signature);
    }

    public function testNothingIsLost(): void
    {
        foreach (self::letters() as [$letter]) {
            $text = (new ReplyStripper())->part($letter);
            $words = static fn (string $of): array => preg_split('/\s+/', trim($of)) ?: [];
            $before = $words($letter);
            $after = $words("{$text->said}\n{$text->quoted}\n{$text->signature}");
            sort($before);
            sort($after);
            self::assertSame($before, array_values(array_filter($after, static fn (string $word): bool => '' !== $word)));
        }
    }
}
