<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Telamon\Database\DatabaseUpdated;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;

/** The texts about appointments, and those about quotes, that every installation begins with, and may change. One that was set up before gets them with the update. */
final readonly class VisitTexts
{
    public function __construct(private EntityManagerInterface $em, private Changes $changes)
    {
    }

    #[AsEventListener]
    public function __invoke(DatabaseUpdated $event): void
    {
        $there = array_map(static fn (MessageTemplate $one): string => $one->key, $this->em->getRepository(MessageTemplate::class)->findAll());
        $missing = array_filter(self::all(), static fn (MessageTemplate $one): bool => !\in_array($one->key, $there, true));
        if ([] === $there || [] === $missing) {
            return;
        }
        $this->changes->carryOut(Act::of(ChangeKind::Setup, 'added the texts of new areas'), function () use ($missing): void {
            foreach ($missing as $text) {
                $this->em->persist($text);
            }
        });
    }

    /** @return list<MessageTemplate> */
    public static function all(): array
    {
        $facts = "What: {{visit}}\nWhen: {{when}}{{#when_here}}\n(our time: {{when_here}}){{/when_here}}{{#place}}\nWhere: {{place}}{{/place}}\nWith: {{with}}{{#price}}\nPrice: {{price}}{{/price}}";
        $link = "{{#link}}\n\nMove or cancel it here: {{link}}\n{{/link}}";
        $end = "\n\n{{coordinator}}\n{{business}}, {{business_phone}}";

        return [
            new MessageTemplate('booked', 'A visit is booked', '{{visit}}: {{when}}', "Hello {{first_name}},\n\nit is booked.\n\n$facts{{#says}}\n\n{{says}}{{/says}}$link$end"),
            new MessageTemplate(
                'series',
                'Several visits are booked',
                '{{visit}}: {{count}} times, first on {{when}}',
                "Hello {{first_name}},\n\n{{count}} visits are booked.\n\nWhat: {{visit}}\n{{dates}}{{#place}}\nWhere: {{place}}{{/place}}\nWith: {{with}}{{#price}}\nPrice: {{price}}{{/price}}{{#says}}\n\n{{says}}{{/says}}\n\nTo move or cancel one of them, answer this mail or call {{business_phone}}.$end",
            ),
            new MessageTemplate('moved', 'A visit is moved', 'Moved: {{visit}}, now {{when}}', "Hello {{first_name}},\n\nthe time has changed.\n\n$facts$link$end"),
            new MessageTemplate(
                'cancelled',
                'A visit is cancelled',
                'Cancelled: {{visit}}, {{when}}',
                "Hello {{first_name}},\n\nthis is cancelled:\n\n$facts\n\nIf that is a mistake, call {{business_phone}}.$end",
            ),
            new MessageTemplate(
                'offered',
                'A time is offered',
                '{{visit}}: does {{when}} suit you?',
                "Hello {{first_name}},\n\nwe have kept a time for you, until {{until}}.\n\n$facts{{#link}}\n\nSay yes, or choose another time: {{link}}{{/link}}$end",
            ),
            new MessageTemplate(
                'reminder',
                'A visit is tomorrow',
                'Reminder: {{visit}}, {{when}}',
                "Hello {{first_name}},\n\nwe look forward to seeing you.\n\n$facts{{#says}}\n\n{{says}}{{/says}}$link$end",
            ),
            new MessageTemplate('on-the-way', 'A visit is soon', 'Soon: {{visit}}, {{when}}', "Hello {{first_name}},\n\n{{with}} will be there soon.\n\n$facts$end"),
            new MessageTemplate(
                'missed',
                'A visit was missed',
                'We missed you: {{visit}}, {{when}}',
                "Hello {{first_name}},\n\nwe did not find you on {{when}}.{{#link}}\n\nChoose another time: {{link}}{{/link}}$end",
            ),
            new MessageTemplate(
                'choose-time',
                'Choose a time',
                '{{visit}}: choose a time that suits you',
                "Hello {{first_name}},\n\nplease choose a time that suits you. It takes a minute, and you need not tell us again who you are:\n\n{{link}}$end",
            ),
            new MessageTemplate(
                'fill-in',
                'A form to fill in',
                'Please fill in: {{form}}',
                "Hello {{first_name}},\n\nplease fill in “{{form}}”. You need not tell us again who you are:\n\n{{link}}$end",
            ),
            new MessageTemplate(
                'arrived',
                'A form was sent',
                '{{client}}: {{form}}, {{reference}}',
                "Hello {{first_name}},\n\n{{client}} sent “{{form}}”. An answer is promised by {{until}}.{{#link}}\n\n{{link}}{{/link}}\n\n{{answers}}",
            ),
            new MessageTemplate(
                'wish',
                'Somebody wants to change a visit',
                '{{client}} wants to change {{visit}}, {{when}}',
                "Hello {{first_name}},\n\n{{client}} can no longer change {{visit}} on {{when}}, and writes:\n\n{{words}}\n{{#phone}}\nRing: {{phone}}\n{{/phone}}{{#link}}\n{{link}}\n{{/link}}",
            ),
            new MessageTemplate(
                'notices',
                'Notices not seen yet',
                '{{count}} on the notice board that you have not seen',
                "Hello {{first_name}},\n\n{{notices}}{{#link}}\n\n{{link}}{{/link}}",
            ),
            new MessageTemplate(
                'confirm-address',
                'Is this address theirs',
                'Is this your address?',
                "Hello,\n\nsomebody gave us this address as theirs. If it was you, confirm it here, so that we may write to you:\n\n{{link}}\n\nIf it was not you, do nothing.\n\n{{business}}, {{business_phone}}",
            ),
            ...QuoteTexts::all(),
        ];
    }
}
