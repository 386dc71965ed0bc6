<?php

declare(strict_types=1);

namespace Telamon\Messages;

/** The texts about quotes that every installation begins with, and may change. */
final class QuoteTexts
{
    /** @return list<MessageTemplate> */
    public static function all(): array
    {
        $end = "\n\n{{lead}}\n{{business}}, {{business_phone}}";

        return [
            new MessageTemplate(
                'quote',
                'A quote',
                'Your quote {{quote}} from {{business}}',
                "Hello {{first_name}},\n\nhere is your quote {{quote}}: {{total}} with VAT. It is good until {{valid_until}}.{{#link}}\n\nRead it, choose what you like, ask, or say yes: {{link}}{{/link}}\n\nThe same is enclosed as a PDF file.$end",
            ),
            new MessageTemplate(
                'quote-nudge',
                'A quote runs out soon',
                'Your quote {{quote}} is good until {{valid_until}}',
                "Hello {{first_name}},\n\nyour quote {{quote}} over {{total}} is good until {{valid_until}}.{{#link}}\n\nSay yes, or ask what you would like to know: {{link}}{{/link}}$end",
            ),
            new MessageTemplate(
                'quote-yes',
                'A yes to a quote by mail',
                'Thank you: {{quote}}',
                "Hello {{first_name}},\n\nthank you for your yes to {{quote}} over {{total}}.{{#link}}\n\nTo make it firm, sign here. It takes a minute: {{link}}{{/link}}$end",
            ),
            new MessageTemplate(
                'quote-accepted',
                'A quote is accepted',
                'Thank you: {{quote}} is agreed',
                "Hello {{first_name}},\n\nyou said yes to {{quote}}: {{total}} with VAT. What you signed is enclosed.{{#deposit_due}}\n\nPlease pay the deposit of {{deposit}} now; then we begin.{{/deposit_due}}$end",
            ),
            new MessageTemplate(
                'quote-answered',
                'Somebody answered a quote',
                '{{quote}}, {{client}}: {{what}}',
                "Hello {{first_name}},\n\n{{quote}} for {{client}} over {{total}} {{what}}.{{#words}}\n\nThey write:\n\n{{words}}{{/words}}{{#link}}\n\n{{link}}{{/link}}",
            ),
            new MessageTemplate(
                'quote-reply',
                'A question about a quote is answered',
                'About your quote {{quote}}',
                "Hello {{first_name}},\n\nyou asked: {{question}}\n\n{{words}}{{#link}}\n\nYour quote: {{link}}{{/link}}$end",
            ),
            new MessageTemplate(
                'agreement',
                'An agreement to be signed',
                'Agreement on {{project}}',
                "{{business}} and {{client}}{{#address}}, {{address}},{{/address}} agree on this:\n\n{{project}}{{#asset}}, {{asset}}{{/asset}}.{{#quote}}\n\nAs in the quote {{quote}} over {{total}} with VAT, which is part of this agreement.{{/quote}}{{#ready_by}}\n\nIt is to be ready by {{ready_by}}.{{/ready_by}}\n\nWe ask before any further work. What is paid beforehand is taken off the last bill.\n\n{{lead}}, {{business}}, {{today}}",
            ),
            new MessageTemplate(
                'agreement-sign',
                'Something is to be signed',
                'Please sign: {{title}}',
                "Hello {{first_name}},\n\nplease read and sign “{{title}}”. It takes a minute on a phone.{{#link}}\n\n{{link}}{{/link}}$end",
            ),
            new MessageTemplate('agreement-signed', 'Something is signed', 'Signed: {{title}}', "Hello {{first_name}},\n\nyou signed “{{title}}”. A copy is enclosed.$end"),
        ];
    }
}
