<?php

declare(strict_types=1);

namespace Telamon\Setup;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\ChecklistTemplate;
use Telamon\Business\Stage;
use Telamon\Business\StageEnd;
use Telamon\Core\Checklists\ChecklistReader;
use Telamon\FollowUps\Starters;
use Telamon\Messages\MessageTemplate;
use Telamon\Messages\VisitTexts;

/** What every installation begins with, and may change: stages, the base checklist, the two first messages. */
final readonly class StarterKit
{
    public function __construct(private EntityManagerInterface $em, private Starters $followUps)
    {
    }

    /** @param list<string> $stages in order */
    public function add(array $stages = ['Inquiry', 'Agreed', 'Under way', 'Done']): void
    {
        foreach ($stages as $i => $name) {
            $stage = new Stage($i + 1, $name);
            // The last one is where work ends well.
            $stage->become($name, 'Done' === $name ? StageEnd::Won : StageEnd::Open, null);
            $this->em->persist($stage);
        }
        $this->em->persist(new ChecklistTemplate((new ChecklistReader())->read(StarterChecklists::base()), true));
        $this->em->persist(new MessageTemplate('confirmation', 'We have your inquiry', '{{business}}: we have your inquiry, {{reference}}', <<<'TEXT'
            Hello {{first_name}},

            thank you for writing to us. Your inquiry is on file as {{reference}}, and {{lead}} will look after it.
            {{#ready_by}}

            We have noted that it should be ready by {{ready_by}}.
            {{/ready_by}}

            If anything changes, answer this mail or call {{business_phone}}.

            {{coordinator}}
            {{business}}
            TEXT));
        $this->em->persist(new MessageTemplate('copy', 'A copy of your answers', '{{business}}: a copy of what you wrote, {{reference}}', <<<'TEXT'
            Hello {{first_name}},

            this is what you wrote to us. Your number is {{reference}}.

            {{answers}}

            A person reads it and answers. If something is not right, answer this mail or call {{business_phone}}.

            {{business}}
            TEXT));
        $this->em->persist(new MessageTemplate('added', 'Added to a project', '{{client}} wrote again: {{project}}', <<<'TEXT'
            Hello {{first_name}},

            {{client}} wrote again ({{reference}}). It was added to {{project}} {{service}}, which you lead; its tasks stay as they are.

            {{#phone}}
            Ring: {{phone}}
            {{/phone}}
            {{#link}}
            {{link}}
            {{/link}}
            TEXT));
        $this->em->persist(new MessageTemplate('told', 'Told by a rule', '{{client}}: {{why}}', <<<'TEXT'
            Hello {{first_name}},

            Why you are told: {{why}}

            What: {{service}} {{project}}
            Who: {{client}}
            {{#phone}}
            Ring: {{phone}}
            {{/phone}}
            {{#place}}
            Where: {{place}}
            {{/place}}
            Led by: {{lead}}

            {{notes}}
            {{#link}}

            {{link}}
            {{/link}}
            TEXT));
        $this->em->persist(new MessageTemplate('notice', 'New project', '{{project}}: {{service}} for {{client}}', <<<'TEXT'
            Hello {{first_name}},

            {{client}} asks for {{service}}. You lead {{project}}.

            What: {{asset}}
            Where: {{place}}
            {{#ready_by}}
            Ready by: {{ready_by}}
            {{/ready_by}}

            {{notes}}

            The tasks are in Telamon, with the answers as written ({{reference}}).
            TEXT));
        foreach (VisitTexts::all() as $text) {
            $this->em->persist($text);
        }
        $this->followUps->add();
    }
}
