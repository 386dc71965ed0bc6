<?php

declare(strict_types=1);

namespace Telamon\Core\Replies;

/** What people write in German. Common practice, collected from memory. Umlauts are folded to one letter. */
final class German
{
    public static function phrases(): Phrases
    {
        $month = '(januar|februar|marz|april|mai|juni|juli|august|september|oktober|november|dezember)';
        $mail = '(nachrichten?|mails?|e ?mails?|sms|briefe?|werbung|newsletter|erinnerungen)';
        $write = '(schreiben|kontaktieren|anrufen|schicken|senden|melden|belastigen|anschreiben)';

        return new Phrases(
            'de',
            ['ja', 'nein', 'ich', 'wir', 'sie', 'ist', 'das', 'die', 'der', 'und', 'nicht', 'bitte', 'danke', 'mir', 'mich', 'uns', 'noch', 'wie', 'was', 'wann', 'kein', 'keine', 'gerne', 'leider', 'passt', 'mit', 'ein', 'eine', 'den', 'dem', 'zu', 'auf', 'es', 'einverstanden', 'stopp', 'abmelden', 'im', 'moment', 'anbei', 'von', 'vielleicht', 'alles', 'ordnung', 'geht', 'klar', 'bis', 'dann', 'erst', 'nach', 'ostern', 'woche', 'montag', 'dienstag', 'freitag', 'kommen', 'sehr', 'gut', 'gern', 'wunderbar', 'prima', 'danke', 'aber', 'wenn', 'nur', 'spater', 'keine'],
            ["\\bgeht's\\b" => 'geht es', "\\bgibt's\\b" => 'gibt es'],
            ['vielen dank( fur .*)?', 'danke( (schon|sehr|vielmals))?', 'besten dank', 'herzlichen dank', 'bitte', 'hallo( \\w+){0,2}', 'guten (tag|morgen|abend)( (frau|herr) \\w+)?', 'leider', 'sehr', 'so', 'dann', 'also', 'und', 'fur (mich|uns)', 'von (mir|uns)', 'mir', 'uns', 'gut'],
            [
                'stop' => ['(mich|uns|meine \w+)( \w+){0,3} (streichen|entfernen|loschen|austragen|nehmen)', '(keine|nichts)( \w+){0,2} (mehr|weiter) (schicken|senden|zusenden|zuschicken)( \w+)?', '(schicken|senden) sie( \w+){0,3} (nichts|keine)( \w+){0,3}', '(nicht|nie) (mehr|wieder)( \w+){0,2} (anschreiben|anrufen|kontaktieren|schreiben|benachrichtigen)', '(will|mochte|wunsche)( \w+){0,3} (keine|nichts|nicht)( \w+){0,3} (mehr|erhalten|bekommen|horen|kontaktiert|angeschrieben)( \w+){0,2}', 'genug( \w+)? (nachrichten|mails)', 'schluss (mit|jetzt)( \w+){0,2}', "(keine|nie)( \\w+){0,2} (weiteren |mehr )?$mail( mehr)?( \\w+)?", "nicht (mehr|langer|weiter)( \\w+){0,2} $write", '(schreiben|kontaktieren|rufen|schicken|senden|melden|belastigen)( sie)?( \\w+){0,3} nicht (mehr|weiter)( \\w+)?', 'nicht mehr (schreiben|kontaktieren|anrufen|anschreiben)', '(nehmen|streichen|loschen|entfernen|tragen) sie (mich|uns|meine|unsere)( \\w+){0,4}', '(melden|melde) sie (mich|uns) ab', '(mich|uns) abmelden', '(mich|uns)( bitte)? (austragen|abbestellen)', '(lassen|lass) (sie )?(mich|uns) in ruhe', 'abbestellen', 'horen sie auf( \\w+){0,3}', "aufhoren( \\w+){0,2} $write", '(loschen|entfernen)( sie)?( \\w+){0,2} (daten|nummer|adresse)( \\w+)?', 'ich widerrufe meine einwilligung', 'kein kontakt mehr', 'abmeldung( \\w+){0,3}', 'unsubscribe'],
                'no' => [
                    '(haben|habe)( \w+){0,2} (jemanden|jemand|einen anderen)( \w+)?',
                    '(verzichte|verzichten|verzichten wir)( \w+)?', '(mussen|muss)( wir| ich)?( leider)? (absagen|stornieren|ablehnen|passen)', '(storniere|stornieren|stornierung|kundigen|absage)( \w+){0,3}', '(brauche|brauchen|benotige|benotigen)( \w+){0,3} (nicht|nicht mehr)', '(haben|habe) uns( \w+){0,2} (umentschieden|anders entschieden|dagegen entschieden)', 'nichts fur (uns|mich)', '(zu|viel zu) (hoch|viel|alt)( \w+)?$', 'nicht leisten',
                    '(ziehe|ziehen)( \w+){0,3} zuruck', 'zu viel geld', 'nicht mehr (notig|gebraucht|erforderlich|notwendig|brauchen)', 'nein danke', 'nein( leider)? nicht', 'kein interesse( mehr)?', 'nicht (mehr )?interessiert', '(anders|dagegen) entschieden', 'zu teuer', '(sagen sie|sagt|sag)( \\w+){0,3} ab', '(muss|mussen|mochte|mochten|will|wollen)( \\w+){0,5} (absagen|stornieren|ablehnen|verzichten|kundigen)', 'passt (mir |uns |mir leider |uns leider |leider )?(gar |uberhaupt )?nicht( \\w+)?', 'nicht (annehmen|beauftragen|notig|notwendig|gewunscht|einverstanden|in ordnung|machen|zusagen|weitermachen)', '(nehmen|nehme|brauchen|brauche|wollen|will|mochten|mochte|wunschen|wunsche)( \\w+){0,4} nicht (mehr|an)?', '(lehnen|lehne)( \\w+){0,3} ab', '(jemand|jemanden|einen) (anderen|anderer|anderes)( \\w+)?', 'auf keinen fall', '(brauchen|brauche|benotigen)( \\w+){0,2} (kein|keine|keinen)( \\w+)?', '(haben|habe)( \\w+){0,3} (verkauft|abgegeben)', '(sehen|sehe) davon ab', 'absagen( \\w+)?', 'kommt nicht in frage', '(geht|klappt) (leider )?nicht', 'diesmal nicht', 'lieber nicht', 'doch nicht'],
                'later' => [
                    '(uberlegen|uberlege)( \w+)? (noch|es uns|es mir|uns das)( \w+)?', '(wissen|weiss)( \w+){0,2} noch nicht', '(schaue|schauen|prufe|prufen|klare|klaren)( \w+){0,3} (erst|noch|zuerst|spater)( \w+)?', '(antworte|antworten|entscheiden|entscheide)( \w+){0,3} (spater|nachste|morgen|bald|dann|nach|am|im|erst)( \w+){0,2}', '(bescheid|ruckmeldung)( \w+)? (geben|nachste|folgt|kommt|bis)( \w+)?', '(dauert|brauche|brauchen|benotigen)( \w+){0,2} (noch|etwas|mehr)( \w+)? (zeit|bedenkzeit|tage|geduld)?', 'zu einem spateren zeitpunkt', 'momentan( \w+)? (keine|nicht|zu)( \w+)?',
                    '(erst|nicht vor|fruhestens)( \w+)? ?(nach|im|ab|mit|wenn)( \w+){0,3}', '(muss|mussen|mochte|will|wollen)( \w+){0,2} (das |es )?(erst|noch|zuerst)( \w+){0,5}', '(komme|kommen)( \w+){0,3} (darauf )?zuruck', 'noch nicht', '(im|zum) (moment|augenblick|zeitpunkt)( \\w+)? nicht', '(momentan|derzeit|zurzeit|jetzt|gerade) (\\w+ )?nicht', 'nicht (jetzt|sofort|gleich|vor)( \\w+)?', '(melde|melden) (mich|uns)( wieder)?( \\w+){0,4}', '(gebe|geben|sage|sagen)( \\w+){0,2} bescheid', '(muss|mussen|mochte|mochten|will|wollen)( \\w+){0,4} (uberlegen|nachdenken|besprechen|klaren|abklaren|fragen|reden|sprechen|schlafen|abwarten|warten|nachsehen|prufen)', '(fragen|melden|schreiben|rufen|erinnern)( sie)?( \\w+){0,4} (noch einmal|nochmal|noch mal|wieder|erneut|spater|daran)', '(im|in) urlaub( \\w+)?', '(bis|erst) (zum|nach|im|ende|anfang)( \\w+){0,3}', 'vielleicht (spater|nachste\\w*|im|in|nach)( \\w+){0,2}', 'spater( \\w+)?$', '(verschieben|vertagen|zuruckstellen)( \\w+)?', '(warten|warte) (wir |ich )?(noch )?(auf|bis|ab)( \\w+){0,3}', '(geben|lassen) sie (mir|uns)( \\w+){0,2} (zeit|tage|wochen)', 'noch unentschlossen', 'noch( \\w+){0,2} (entschieden|unsicher|bedenkzeit|zeit)', 'im laufe (der|des)( \\w+){0,2}'],
                'yes' => [
                    '(erteile|erteilen)( \w+){0,3} (auftrag|zusage|freigabe)', '(freue|freuen) (mich|uns)( \w+){0,3}', '(wurde|wurden|wird|ware|waren)( \w+){0,2} (passen|gut|perfekt|prima|super|ideal)', '(bin|sind) (dabei|zufrieden|bereit)', '(ist|ware) (gut|perfekt|prima|super|in ordnung|ok|okay|ideal)( \w+){0,2}$', '(konnen|durfen) (sie )?(anfangen|beginnen|kommen|loslegen|so machen)( \w+)?', 'sie konnen( \w+){0,2} (anfangen|beginnen|kommen|loslegen)',
                    'dann bis( \w+)?', 'geht klar', 'ja', 'jawohl', 'jo', 'einverstanden', 'in ordnung', 'alles klar', 'geht klar', '(nehmen|nehme)( \\w+){0,3} an', 'angenommen', '(das |es |dienstag|montag|mittwoch|donnerstag|freitag|samstag|sonntag|termin)?( \\w+){0,4} ?passt( (mir|uns|gut|prima|perfekt|super))*', '(klingt|hort sich|sieht) (sehr )?(gut|prima|perfekt|toll)( an| aus)?', 'bestatig\\w+( \\w+){0,3}', '(bitte )?(beauftragt|buchen|buchen sie|fangen sie an|beginnen sie|legen sie los|machen sie)( \\w+){0,2}', '(stimme|stimmen)( \\w+){0,3} zu', 'zugestimmt', 'beauftragen( \\w+)?', 'kein problem', 'gern(e)?( machen sie| so)?', 'selbstverstandlich', 'naturlich', 'auf jeden fall', 'machen wir( so)?', 'so machen wir( das| es)?', 'abgemacht', 'wir freuen uns( \\w+){0,2}', 'los geht s', 'geht (in ordnung|so)', 'freigegeben', 'zusage( \\w+)?', '(sage|sagen)( \\w+){0,2} zu', 'spricht nichts dagegen', 'bis (montag|dienstag|mittwoch|donnerstag|freitag|samstag|sonntag|dann|morgen)'],
                'other' => ['anbei( \\w+){0,3}', 'im anhang( \\w+){0,2}'],
            ],
            [
                'no' => ['nein', 'ne', 'nicht', 'leider'],
                'later' => ['(nachste|nachsten|nachster|kommende)( \\w+)? (woche|monat|jahr)', "im (nachsten|kommenden)? ?$month", 'spater', 'vielleicht'],
                'yes' => ['ok', 'okay', 'gut'],
                'stop' => ['stopp', 'spam'],
            ],
            [
                'yes' => ['ok(ay)?', 'gut', 'prima', 'super', 'perfekt', 'toll', 'klar', 'sicher', 'passt', 'gern', 'gerne', 'genau', 'richtig', 'fein', 'wunderbar'],
                'no' => ['nein', 'nee', 'ne', 'niemals', 'lieber nicht', 'nicht'],
                'later' => ['spater', 'vielleicht', 'mal sehen', 'nachste woche', 'morgen', 'bald'],
                'stop' => ['stopp?', 'ende', 'abmelden', 'abbestellen', 'schluss', 'aufhoren', 'abmeldung', 'loschen', 'austragen'],
            ],
            ['nicht', 'kein', 'keine', 'keinen', 'nie', 'niemals'],
            ['aber', 'jedoch', 'allerdings', 'nur', 'ausser', 'sondern', 'dennoch'],
            ['wenn', 'falls', 'sofern', 'sobald', 'vorausgesetzt', 'unter der bedingung', 'solange', 'bis auf', 'nachdem', 'hangt davon ab', 'vorbehaltlich'],
            ['was', 'wann', 'wo', 'wer', 'wie', 'warum', 'wieso', 'welche\\w*', 'wieviel', 'kann (ich|man|das|der|die)', 'konnen (sie|wir)', 'konnten (sie|wir)', 'konnte (ich|man)', 'ist (das|der|die|es)', 'sind (sie|die)', 'haben sie', 'geht (es|das)', 'gibt es', 'muss (ich|man|das)', 'mussen wir', 'darf ich', 'wurden sie', 'sollen wir', 'soll ich', 'eine frage', 'kommen sie', 'machen sie auch'],
        );
    }
}
