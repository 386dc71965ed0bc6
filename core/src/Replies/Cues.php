<?php

declare(strict_types=1);

namespace Telamon\Core\Replies;

/**
 * Words that a decision may hide behind. A letter in which no table knows anything is about something else for sure only
 * where none of them stands in it; else a person reads it. Collected from memory.
 */
final class Cues
{
    private const WORDS = '/\b(no|not|nothing|none|never|nor|neither|without|yes|ok|okay|fine|good|great|perfect|happy|glad|pleased|love|like|liked|agree\w*|accept\w*|approv\w*|confirm\w*|decid\w*|decision|deal|interest\w*|want\w*|wish\w*|need\w*|would|should|could|cancel\w*|declin\w*|refus\w*|withdraw\w*|against|instead|elsewhere|another|other|else|further|usual|price|pric\w+|cost\w*|budget|money|dear|cheap\w*|afford|expensive|quote|offer|estimate|proceed\w*|ahead|go|going|gone|start\w*|begin|book\w*|order\w*|crack|carry|continue|do|doing|take|taking|taken|keep\w*|leav\w+|buy\w*|sell\w*|sold|give|giving|given|chose\w*|choos\w*|pick\w*|found|find|hire\w*|sorted|later|yet|until|till|wait\w*|hold\w*|again|soon|next|month\w*|year\w*|fortnight|spring|summer|autumn|winter|christmas|easter|think\w*|thought|consider\w*|maybe|perhaps|possibl\w+|sure|unsure|talk\w*|discuss\w*|time|busy|moment|now|stop\w*|remove|delete|unsubscribe|list|contact\w*|spam|refrain|desist|harass\w*|drop\w*|sign\w*|allow\w*|permit\w*|landlord|committee|board|treasurer|manager|boss|way|idea|mind|plan\w*|pass|skip|free|then|whenever|ready|welcome|if|but|unless|only|nein|nicht|kein\w*|ja|gern\w*|spater|noch|erst|angebot|preis|termin|machen|nehmen|non|pas|oui|plus|devis|prix|attend\w*|accord)\b/';
    private const LONGEST = 40;

    /** @param list<Sentence> $sentences */
    public static function none(array $sentences): bool
    {
        $text = implode(' ', array_map(static fn (Sentence $one): string => $one->text, $sentences));
        $words = \count(explode(' ', $text));

        return $words >= 3 && $words <= self::LONGEST && 1 !== preg_match(self::WORDS, $text);
    }
}
