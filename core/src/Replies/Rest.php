<?php

declare(strict_types=1);

namespace Telamon\Core\Replies;

/**
 * What a letter says beside the words that decide: whoever says yes and then much else may say yes to something else.
 * The words that do not count (times, greetings, the matter itself) are common practice, collected from memory.
 */
final class Rest
{
    /** Words beside one that stands for itself, such as "no" in "No, two flights of stairs". */
    private const BESIDE_ONE = 0;
    /** Words beside several that belong together, such as "we are happy to proceed". */
    private const BESIDE_SEVERAL = 16;
    /** Words beside a "stop" that is meant. */
    private const BESIDE_STOP = 3;

    private const WORDS = 'monday tuesday wednesday thursday friday saturday sunday january february march april may june july august september october november december morning mornings afternoon afternoons evening day days week weeks weekend month year today tomorrow noon oclock time times date soon next early late before after around about
        quote quotes quotation price offer work job repair tuning visit appointment inquiry enquiry request letter mail mails email emails message messages text texts answer reply amount sum option one two three both all them those these anything everything nothing someone something
        dear hello thank thanks thankyou regards kind best wishes sincerely yours faithfully forward looking look hearing seeing much many very really quite nice good great lovely best quick fast detailed kindly sorry afraid unfortunately just still also too again now then there here well indeed
        montag dienstag mittwoch donnerstag freitag samstag sonntag januar februar marz april mai juni juli august september oktober november dezember uhr woche tag morgen nachmittag angebot termin bitte danke vielen dank grusse freundliche herzliche
        lundi mardi mercredi jeudi vendredi samedi dimanche janvier fevrier mars avril mai juin juillet aout septembre octobre novembre decembre heure heures semaine jour matin devis visite merci beaucoup cordialement bonjour madame monsieur';
    /** What stands between words and says nothing by itself. */
    private const SMALL = 'a an the and or of to in on at by for from with as is are was were be been am do does did has have had will would shall should can could may might must it its this that these those i you he she we they me him her us them my your his our their not no yes so if when what who how which than up out over ok okay please dont im well id ill
        der die das den dem ein eine einen einem und oder zu zum zur in im an am auf fur von mit als ist sind war bin sein haben hat habe wird werden wir ich sie er es uns mir mich ihr ihre ihnen unser mein dass doch auch noch nur schon sehr gern gerne ja nein nicht kein keine
        le la les un une des du de et ou a au aux en dans par pour avec est sont suis etes sommes ai as avons avez ont je tu il elle nous vous ils me te se mon ma mes votre vos notre nos ce cette ces que qui ne pas plus oui non si tres bien';

    /** Hits of one word or of words of everyday politeness: they stand for themselves only where nothing else is said. */
    private const WEAK = '/^(yes|yep|yup|yeah|aye|yes yes|no|nope|nah|sure|ok|okay|fine|good|great|perfect|grand|right|exactly|correct|absolutely|definitely|certainly|of course|no (problem|problems|worries|bother)( at all)?|no need( (to|for) \w+)?|ja|nein|klar|gut|genau|oui|non|bien|parfait|later|soon|not sure|all good|alright)$/';

    private readonly int $words;

    /** Whether nothing but single words carries the meaning. */
    private readonly bool $isWeak;

    /**
     * @param list<Sentence> $sentences
     * @param list<list<Hit>> $found by sentence
     * @param list<string> $names that say nothing
     */
    public function __construct(array $sentences, array $found, Meaning $meaning, array $names)
    {
        $left = 0;
        $strong = false;
        $silent = array_flip([...self::list(self::WORDS), ...self::list(self::SMALL), ...$names]);
        foreach ($sentences as $at => $sentence) {
            $text = $sentence->text;
            foreach ($found[$at] ?? [] as $hit) {
                if (Meaning::Question !== $hit->meaning) {
                    $text = substr_replace($text, str_repeat(' ', \strlen($hit->words)), $hit->at, \strlen($hit->words));
                }
                $strong = $strong || ($hit->meaning === $meaning && 1 !== preg_match(self::WEAK, $hit->words));
            }
            foreach (explode(' ', $text) as $word) {
                $left += '' === $word || isset($silent[$word]) || ctype_digit($word) || 1 === preg_match('/^\d+(am|pm|th|st|nd|rd)$/', $word) ? 0 : 1;
            }
        }
        $this->words = $left;
        $this->isWeak = !$strong;
    }

    /** Whether so little else is said that the meaning stands. */
    public function isLittle(Meaning $meaning): bool
    {
        return $this->words <= match (true) {
            Meaning::Stop === $meaning => self::BESIDE_STOP,
            $this->isWeak => self::BESIDE_ONE,
            default => self::BESIDE_SEVERAL,
        };
    }

    public function isWeak(): bool
    {
        return $this->isWeak;
    }

    /** @return list<string> */
    private static function list(string $words): array
    {
        return preg_split('/\s+/', $words, -1, \PREG_SPLIT_NO_EMPTY) ?: [];
    }
}
