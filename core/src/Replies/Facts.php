<?php

declare(strict_types=1);

namespace Telamon\Core\Replies;

/**
 * Sentences that tell something and decide nothing: where the thing stands, how somebody is reached, that a letter came.
 * A letter of nothing else is an answer to neither a yes nor a no. Common practice, collected from memory.
 */
final class Facts
{
    private const THINGS = 'piano|instrument|machine|boiler|house|flat|apartment|room|kitchen|bathroom|door|entrance|gate|bell|dog|cat|stairs|staircase|lift|case|lid|keys?|keyboard|pedals?|stool|bench|strings?|hammers?|soundboard|garden|road|lane|drive|parking|studio|hall|school|church|shop|roof|garage|invoice|receipt|photos?|photographs?|pictures?|file|form|key|alarm|street|building|floor|window|model|make|maker|brand|serial( number)?|number|phone|mobile|landline|address|email|e mail|mail|name|surname|postcode|eircode|code|gate code|door code|person|contact|caretaker|porter|neighbour';

    private const PATTERNS = [
        '(the|our|my|its|this|that|your) (\w+ )?('.self::THINGS.') (of \w+ )?(is|are|was|were|has|have|had|should be|stands?|stood|sits?|came|comes|dates?|needs?|sticks?|buzz(es)?|squeaks?|rattles?|works?|changed|shows?|lies?|hangs?)( \w+)*',
        'it (has|had|stands|stood|was (made|built|bought|moved|tuned)|came from|comes from|belongs|makes a|dates|weighs|is (a|an|on|in|at|about|from|called|upstairs|downstairs|black|brown|white))( \w+)*',
        'there (is|are|was|were) (a|an|no|two|three|four|five|some|only|plenty|enough|nobody|somebody|always)( \w+)*',
        '(i|we) (have )?(just )?(moved|attached|enclosed|forwarded|received|got|sent|uploaded|added|included|filled in|paid|transferred|left|put|found the|measured)( \w+)*',
        '(got|received|read) (it|this|that|your \w+|the \w+)( \w+)*', 'please (see|find)( \w+)*', '(see|as) (below|above|attached|enclosed)( \w+)*', 'noted', 'will do',
        '(i |we )?(think|believe|fear) (you|this|that)( \w+)* wrong( \w+)*', '(this is|you have|you got)( \w+)* wrong( \w+)*', '(\w+ )*passed away( \w+)*',
        '(it|this|that) (would|will|is) be (for|about|on|at)( \w+)*',
        '(i|we) (am|are|will be|would be) (out|in|home|at home|here|free|available|reachable|around|at work|at the \w+)( \w+)*',
        '(\w+ )?(monday|tuesday|wednesday|thursday|friday|saturday|sunday|mornings?|afternoons?|evenings?) (is|are|would be|works?) (possible|free|better|best|easier|easiest|difficult|hard|out|no good)( \w+)*',
        'any (monday|tuesday|wednesday|thursday|friday|saturday|sunday|day|morning|afternoon|evening|time)( \w+)*',
        'only (if|when|where)( \w+)*',
        'the (visit|tuning|concert|lesson|man|woman|work|repair|fitter|technician)( \w+)? (went|was|is|did|came|left|looks|sounds|played)( \w+)*',
        '(two|three|four|five|six|several|some|no|a|one) (flights?|steps?|stairs|pianos?|rooms?|keys?|pedals?|floors?)( \w+)*',
        'my (mother|father|daughter|son|sister|brother|mum|dad|grandmother|grandfather) (played|plays|left|owned|bought|learned|is in hospital|died)( \w+)*',
        '(i|we) (play|practise|live|bought|inherited)( \w+)*', 'yes (it|there|they|he|she|the|my|our) (has|have|is|are|was|were|does|did)( \w+)*',
        'no (it|there|they|he|she|the|my|our) (has|have|is|are|was|were|does|did)( \w+)*',
        '(the|my|our) (rest|others?) (is|are) fine', 'no problem( at all)?', 'no worries', 'no bother', 'take your time', 'you are welcome',
        'well done', '(great|good|lovely|nice) (work|job|to (meet|see|hear)( \w+)*)', 'happy (birthday|new year|christmas|easter)( \w+)*',
        'die (adresse|nummer|anschrift|rechnung) (ist|war|lautet)( \w+)*',
        '(das|der|die) (klavier|flugel|haus|wohnung|tur) (ist|steht|war|hat)( \w+)*', 'anbei( \w+)*', 'im anhang( \w+)*',
        'le piano (est|se trouve|date|a)( \w+)*', 'ci joint( \w+)*', 'mon (adresse|numero) (est|a change)( \w+)*',
    ];

    /** @param list<Sentence> $sentences */
    public static function only(array $sentences): bool
    {
        $facts = 0;
        foreach ($sentences as $sentence) {
            if (
                1 === preg_match(
                    '/^(thank(s| you)|many thanks|cheers|hi|hello|dear|good (morning|afternoon|evening)|danke|merci|bonjour|hallo|best|kind|regards)\b/',
                    $sentence->text,
                )
                && \count(explode(' ', $sentence->text)) <= 6
            ) {
                continue;
            }
            if (!self::is($sentence)) {
                return false;
            }
            ++$facts;
        }

        return $facts > 0;
    }

    private static function is(Sentence $sentence): bool
    {
        foreach (self::PATTERNS as $pattern) {
            if (1 === preg_match("/^(?:(?:and|also|so|well|hi|hello|thanks|thank you|ok|by the way) )*(?:$pattern)$/", $sentence->text)) {
                return true;
            }
        }

        return false;
    }
}
