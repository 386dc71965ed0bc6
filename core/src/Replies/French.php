<?php

declare(strict_types=1);

namespace Telamon\Core\Replies;

/** What people write in French. Common practice, collected from memory. Accents are folded away, "d'accord" is two words. */
final class French
{
    public static function phrases(): Phrases
    {
        $month = '(janvier|fevrier|mars|avril|mai|juin|juillet|aout|septembre|octobre|novembre|decembre)';
        $mail = '(messages?|mails?|e ?mails?|courriels?|sms|textos?|rappels?|publicites?|lettres?)';

        return new Phrases(
            'fr',
            ['oui', 'non', 'je', 'nous', 'vous', 'le', 'la', 'les', 'est', 'et', 'pas', 'merci', 'ca', 'pour', 'de', 'des', 'du', 'un', 'une', 'moi', 'mon', 'votre', 'bien', 'parfait', 'accord', 'que', 'quand', 'combien', 'quel', 'quelle', 'ne', 'plus', 'tard', 'encore', 'arretez', 'avec', 'entendu', 'reparle', 'voici', 'peut', 'en', 'apres', 'comme', 'tres', 'fait', 'desabonnez', 'stoppez', 'volontiers', 'avez', 'pouvez', 'si', 'mais', 'semaine', 'sous', 'reserve'],
            [],
            ['merci( (beaucoup|bien|d avance|infiniment|a vous))*( (de|pour) .*)?', 'bonjour( (madame|monsieur|a tous|nessa))?', 'bonsoir', 's il (vous|te) plait', 'svp', 'pour (moi|nous)', 'a (moi|vous)', 'tres', 'bien', 'alors', 'et', 'desole(e|s)?', 'malheureusement', 'peut etre'],
            [
                'stop' => ['(me|m|nous|mon \w+|mes \w+)? ?(retirer|supprimer|enlever|effacer|rayer|radier)( \w+){0,4} (liste|fichiers?|base|contacts?|donnees|coordonnees)', '(ne|n) (veux|souhaite|voulons|souhaitons|desire) plus( \w+){0,5}', '(supprimez|effacez|retirez)( \w+){0,4}', '(assez|marre) de (vos|ces|tous)( \w+){0,2}', 'arret(ez|er|e)? (de|d|les|ces|vos|tout)( \w+){0,3}', '(stopper|cesser|arreter) (les|ces|vos|tous|l)( \w+){0,3}', 'ne (plus|pas) (m|me|nous) ?(envoyer|ecrire|contacter|relancer|deranger)( \w+){0,3}', 'harcel\w+( \w+)?', '(ne|n)( me| m| nous)? ?(ecrivez|contactez|envoyez|appelez|derangez|relancez|sollicitez|ecris|contacte|envoie)( \\w+){0,2} (plus|jamais)( \\w+){0,3}', 'ne plus( me| m| nous)? ?(contacter|ecrire|appeler|envoyer|recevoir|deranger|solliciter|relancer)( \\w+){0,3}', '(veux|souhaite|voudrais|desire|voulons|souhaitons)( plus| pas)?( \\w+){0,2} (recevoir|etre contacte\\w*)( \\w+){0,3}', 'desabonn\\w+( \\w+){0,3}', 'desinscri\\w+( \\w+){0,3}', "plus (de|aucun|d) ?$mail( \\w+){0,4}", '(arretez|arreter|cessez|cesser|stoppez|arrete)( de| d| vos| ces| les| tout)( \\w+){0,4}', '(retirez|supprimez|enlevez|rayez|effacez|otez) (moi|nous|mon|mes|ma|notre|nos)( \\w+){0,4}', 'laissez (moi|nous) tranquilles?', 'fichez moi la paix', 'stop (aux|les|vos|ces)( \\w+)?', 'je retire mon consentement', 'unsubscribe'],
                'no' => ['(ne|n) (souhaitons|souhaite|voulons|veux|desirons|pouvons|peux|allons|vais) (pas|plus)( \w+){0,3}', 'pas (donner suite|besoin|dans (notre|mon|nos) (budget|moyens|prix))( \w+)?', '(plus|pas) (besoin|necessaire|utile|d actualite)( \w+)?', 'hors (de )?(notre|mon|budget)( \w+)?', '(decidons|decide|prefere|preferons) (de )?(ne pas|renoncer|annuler|en rester la)( \w+)?', '(doit|devons|dois|faut)( \w+)? (annuler|refuser|renoncer|decliner)( \w+){0,2}', '(une autre|autre) (entreprise|accordeur|solution|atelier|personne)( \w+)?', 'suis pas( \w+)?$', 'en avons plus( \w+){0,2}', 'non merci', '(ne |n )?(m |nous )?(interesse|interessent|interesses?)( plus)? ?pas( \\w+)?', '(pas|plus|aucunement) (interesse\\w*|besoin|necessaire)( \\w+)?', '(choisi|trouve|pris|engage) (quelqu un|une autre|un autre)( \\w+){0,2}', 'trop (cher|chere|couteux|eleve)', '(dois|devons|souhaite|souhaitons|veux|voudrais|prefere|preferons)( \\w+){0,2} (annuler|decliner|renoncer|refuser)( \\w+)?', '(annulez|annuler) (le|la|mon|notre|ma)( \\w+){0,2}', 'ne (souhaite|souhaitons|veux|voulons|desire|desirons|peux|pouvons|vais|allons) (pas|plus)( \\w+){0,3}', '(ne |n )(accepte|acceptons|approuve|approuvons|confirme|confirmons|valide|validons|donnerons|donnerai|prenons|prends|ferons|ferai) (pas|plus)( \\w+){0,2}', '(me|nous) convient pas( \\w+)?', '(ne|n) (me |nous )?(convient|va|arrange|est|vont) (pas|plus)( \\w+)?', 'pas (possible|question|cette fois|d accord|pour nous|pour moi)', '(nous|j|on)( avons| ai| a)? change d avis', '(jamais|surtout pas|en aucun cas)', '(decide|decidons) de ne pas( \\w+){0,2}', 'avons renonce', '(renonce|renoncons|refuse|refusons|decline|declinons|annule|annulons)( \\w+){0,2}', 'vendu (le|la|notre|mon)( \\w+)?', 'laissons tomber|laissez tomber'],
                'later' => [
                    '(devons|dois|allons|vais|faut|voulons|veux)( \w+){0,3} (en )?(discuter|parler|reflechir|y penser|decider|consulter|attendre)( \w+){0,2}', '(attendez|patientez|un moment|un instant|une minute)( \w+)?', '(sais|savons|decide|decides) pas encore( \w+)?', '(pas|encore) (decide|decides|sur|surs|le temps)( \w+)?', '(relance|rappel)( \w+)? (dans|en|apres)( \w+){0,2}', '(voir|verrai|verrons|reverrons)( \w+){0,2} (plus tard|apres|en|la semaine)( \w+)?', '(dans|d ici) (quelques|un|une|deux|trois)( \w+)? ?(jours|semaines?|mois)', '(besoin|laissez)( \w+){0,3} (temps|reflexion|delai)( \w+)?',
                    '(en reparle|reparle|reparlons|en reparlera)( \w+){0,3}', '(je|nous) vous (repond\w*|ecri\w*|dira\w*|confirmer\w*|tiens|tiendr\w*)( \w+)? (la|en|dans|plus|apres|bientot|demain|des|lundi|mardi|mercredi|jeudi|vendredi)( \w+){0,2}', 'pas (encore|maintenant|tout de suite|pour l instant|pour le moment|avant|immediatement|aujourd hui|cette semaine|ce mois)( \\w+){0,2}', 'pour (le moment|l instant) (non|pas)( \\w+)?', '(peut etre )?plus tard( \\w+){0,2}', '(recontacte|rappelle|rappellerai|recontacterai|tiens au courant|tiendrai au courant|redis|redirai|redonne)( \\w+){0,3}', '(reviens|reviendrai|revenons|reviendrons) vers vous( \\w+){0,3}', '(dois|devons|vais|allons|besoin|faut|laissez moi|laissez nous)( \\w+){0,3} (reflechir|voir|verifier|demander|discuter|parler|consulter|attendre|temps|delai)( \\w+){0,3}', '(recontactez|rappelez|relancez|demandez|ecrivez)( moi| nous)? ?(en|dans|plus|apres|la|le|au)( \\w+){0,3}', 'en (vacances|conge|deplacement|reunion)( \\w+){0,2}', '(attends|attendons|attendre|attend)( \\w+){0,3}', '(repousser|reporter|remettre|differer)( \\w+){0,3}', 'reporte(r|z|ons)?( \\w+){0,2}', 'jusqu (au|a|en)( \\w+){0,2}', '(apres|avant) (noel|paques|l ete|les vacances)', 'pas encore( \\w+)?', '(je|nous) vous (redirai|dirai|direz|dirons|ferai savoir|ferons savoir)( \\w+)?', 'le temps de( \\w+){0,2}', 'l annee prochaine( \\w+)?'],
                'yes' => [
                    '(sommes|suis|est) (tout a fait |bien )?(d accord|partants?|prets?|contents?|ravis?|ok)( \w+)?', '^(tres bien|parfait|super|excellent|genial|impeccable|nickel)( merci)?( \w+)?$', '(vous )?(donne|donnons) (mon|notre) (accord|feu vert)', 'feu vert', '(rendez vous|date|heure|horaire|creneau)( \w+)? (est )?(confirme|parfait|bon|ok|note)\w*', '(je|nous) (prends|prenons)( le| la| ce| cette)?( \w+)?', '(me|nous) (va|vont|convient|conviennent|arrange) (tres |parfaitement )?(bien|parfaitement)?',
                    'on fait comme ca', '(faisons|on fait)( \w+)? comme ca', 'oui', 'ouais', 'd accord', '(ca|cela|c|qui|date|jeudi|lundi|mardi|mercredi|vendredi|samedi|heure|horaire)( \\w+){0,2} (me|nous|m|lui) (convient|va|arrange|conviennent)( \\w+)?', 'convient (parfaitement|tres bien|bien)?', 'c est (bon|parfait|entendu|ok|d accord|note|tres bien|valide|convenu)( pour (moi|nous))?', 'allez y|allons y|vas y', '(j|je|nous) (accepte|acceptons|confirme|confirmons|valide|validons|approuve|approuvons|signe)( \\w+){0,3}', '(vous )?pouvez (commencer|venir|proceder|demarrer|y aller|lancer|reserver)( \\w+){0,2}', 'avec plaisir', 'bien sur', 'entendu', 'volontiers', 'pas de (probleme|souci|soucis)', 'aucun probleme', 'bon pour accord', 'marche conclu', 'ca marche', 'ca roule', 'tout a fait', 'absolument', 'certainement', '(reservez|commencez|procedez|lancez|faites)( \\w+){0,3}', '(accepte|valide|confirme|approuve)( \\w+)?', 'c est note', 'on y va', 'a (lundi|mardi|mercredi|jeudi|vendredi|samedi|dimanche|bientot|demain)'],
                'other' => ['(voici|ci joint|ci jointes|ci joints|en piece jointe|vous trouverez)( \\w+){0,3}'],
            ],
            [
                'no' => ['non', 'malheureusement'],
                'later' => ['(semaine|mois|annee) prochaine?( \\w+)?', "en $month", 'peut etre', 'plus tard'],
                'yes' => ['ok', 'parfait'],
                'stop' => ['stop', 'arretez', 'spam', 'indesirables?'],
            ],
            [
                'yes' => ['ok', 'parfait', 'super', 'genial', 'bien', 'tres bien', 'excellent', 'nickel', 'impeccable', 'bon', 'accepte', 'd acc', 'top', 'je confirme', 'valide'],
                'no' => ['non', 'non non', 'jamais', 'pas du tout', 'pas vraiment'],
                'later' => ['plus tard', 'peut etre', 'bientot', 'on verra', 'demain', 'pas encore'],
                'stop' => ['stop', 'arretez( tout)?', 'arret', 'fin', 'desabonnement', 'desinscription', 'cessez', 'ca suffit', 'assez'],
            ],
            ['pas', 'ne', 'jamais', 'non', 'aucun', 'aucune'],
            ['mais', 'cependant', 'toutefois', 'par contre', 'sauf', 'seulement', 'excepte', 'uniquement', 'pourtant'],
            ['si', 'a condition', 'pourvu', 'sous reserve', 'a moins', 'des que', 'tant que', 'du moment', 'ca depend', 'selon', 'en cas', 'apres accord'],
            ['combien', 'quand', 'ou est', 'ou se', 'qui', 'comment', 'pourquoi', 'quels?', 'quelles?', 'est ce', 'pouvez vous', 'pourriez vous', 'peut on', 'puis je', 'avez vous', 'faut il', 'dois je', 'y a t il', 'etes vous', 'qu est ce', 'serait il', 'est il', 'une question', 'a quelle', 'que coute', 'faites vous'],
        );
    }
}
