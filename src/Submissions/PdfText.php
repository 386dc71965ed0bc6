<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Telamon\Core\Text\VisualOrder;
use Twig\Attribute\AsTwigFilter;
use Twig\Markup;

/** Text for a renderer that knows one face at a time and one direction: in drawn order, what the face lacks in others. */
final class PdfText
{
    /** Where the system's packages put the faces that hold what DejaVu does not; bin/install installs them. */
    private const FACES = [
        'cjk' => '/usr/share/fonts/truetype/droid/DroidSansFallbackFull.ttf',
    ];

    #[AsTwigFilter('pdf_text')]
    public function html(string $text): Markup
    {
        // A word without end would run over the edge of the page.
        $text = (string) preg_replace('/\S{76}(?=\S)/u', "$0\n", $text);
        $escaped = htmlspecialchars(VisualOrder::of($text), \ENT_QUOTES | \ENT_SUBSTITUTE, 'UTF-8');
        // Joiners and selectors between signs have no look of their own.
        $escaped = (string) preg_replace('/[\x{FE0E}\x{FE0F}\x{200D}]/u', '', $escaped);
        $faced = preg_replace('/[\p{Han}\p{Hiragana}\p{Katakana}\p{Hangul}\x{3000}-\x{303F}\x{FF01}-\x{FFEF}]+/u', '<span class="cjk">$0</span>', $escaped);
        // Signs beyond the first 65,536 cannot be written by the renderer: they are told.
        $faced = preg_replace_callback('/[\x{10000}-\x{10FFFF}]/u', static fn (array $sign): string => self::named($sign[0]), $faced ?? $escaped);

        return new Markup($faced ?? $escaped, 'UTF-8');
    }

    /** What no face can be asked for, by its name in the Unicode Character Database: “[musical keyboard]”. */
    private static function named(string $sign): string
    {
        $name = \IntlChar::charName($sign);

        return '' !== $name ? '['.mb_strtolower($name).']' : '[sign]';
    }

    /** The faces that are there, as style rules. */
    #[\Twig\Attribute\AsTwigFunction('pdf_faces')]
    public function faces(): Markup
    {
        $rules = '';
        foreach (self::FACES as $name => $file) {
            if (is_file($file)) {
                $rules .= "@font-face { font-family: \"$name\"; font-weight: normal; font-style: normal; src: url(\"$file\") format(\"truetype\"); }\n.$name { font-family: \"$name\"; font-weight: normal; }\n";
            }
        }

        return new Markup($rules, 'UTF-8');
    }

    /** @return list<string> the folders that the renderer may read faces from */
    public static function folders(): array
    {
        return array_values(array_map(\dirname(...), array_filter(self::FACES, is_file(...))));
    }
}
