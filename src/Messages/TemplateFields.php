<?php

declare(strict_types=1);

namespace Telamon\Messages;

/** What each template that ships is for and may name; all may name the business. */
final class TemplateFields
{
    private const CLIENT = ['first_name', 'client', 'service', 'service_words', 'asset', 'place', 'project', 'reference', 'lead', 'coordinator', 'ready_by'];
    private const VISIT = ['first_name', 'visit', 'when', 'when_here', 'place', 'with', 'says', 'price', 'link', 'until', 'coordinator'];
    private const QUOTE = ['first_name', 'client', 'quote', 'project', 'total', 'deposit', 'valid_until', 'link', 'lead'];
    private const SIGN = ['first_name', 'title', 'project', 'lead', 'link'];

    /** @var array<string, array{Purpose, list<string>, string}> by key: what it is for, what it may name, when it is sent */
    private const SHIPPED = [
        'confirmation' => [Purpose::Client, self::CLIENT, 'to the client when a plan is accepted'],
        'copy' => [Purpose::Copy, ['first_name', 'reference', 'answers'], 'to whoever asked for a copy of their answers'],
        'confirm-address' => [Purpose::Client, ['link'], 'to an address that came from outside, when somebody asks whether it is theirs'],
        'added' => [Purpose::Staff, ['first_name', 'client', 'reference', 'project', 'service', 'phone', 'link'], 'to the lead when an arrival is added to a project'],
        'told' => [Purpose::Staff, ['first_name', 'client', 'why', 'service', 'project', 'phone', 'place', 'lead', 'notes', 'link'], 'to staff when a rule tells them'],
        'notice' => [
            Purpose::Staff,
            ['first_name', 'client', 'service', 'project', 'asset', 'place', 'ready_by', 'notes', 'reference', 'link'],
            'to the lead when a plan makes a project',
        ],
        'notices' => [Purpose::Staff, ['first_name', 'count', 'notices', 'link'], 'to staff at noon and at five, with what they have not seen'],
        'wish' => [Purpose::Staff, ['first_name', 'client', 'visit', 'when', 'words', 'phone', 'link'], 'to the coordinator when a client asks to change a visit'],
        'booked' => [Purpose::Visit, self::VISIT, 'to the client when a visit is booked'],
        'series' => [Purpose::Visit, [...self::VISIT, 'count', 'dates'], 'to the client when several visits are booked'],
        'moved' => [Purpose::Visit, self::VISIT, 'to the client when a visit is moved'],
        'cancelled' => [Purpose::Visit, self::VISIT, 'to the client when a visit is cancelled'],
        'offered' => [Purpose::Visit, self::VISIT, 'to the client when a time is kept for them'],
        'reminder' => [Purpose::Visit, self::VISIT, 'to the client before a visit'],
        'on-the-way' => [Purpose::Visit, self::VISIT, 'to the client shortly before a visit'],
        'missed' => [Purpose::Visit, self::VISIT, 'to the client when nobody was there'],
        'choose-time' => [Purpose::Visit, ['first_name', 'visit', 'link', 'coordinator'], 'to the client when they are to choose a time'],
        'arrived' => [Purpose::Staff, ['first_name', 'client', 'form', 'reference', 'until', 'answers', 'link'], 'to whom a form tells at once, when it is sent'],
        'fill-in' => [Purpose::Copy, ['first_name', 'form', 'link', 'coordinator'], 'to the client when they are to fill a form in'],
        'quote' => [Purpose::Quote, self::QUOTE, 'to the client with a quote'],
        'quote-nudge' => [Purpose::Quote, self::QUOTE, 'to the client before a quote runs out'],
        'quote-yes' => [Purpose::Quote, self::QUOTE, 'to the client when a reply says yes to a quote'],
        'quote-accepted' => [Purpose::Quote, [...self::QUOTE, 'deposit_due'], 'to the client when they accepted a quote'],
        'quote-reply' => [Purpose::Quote, [...self::QUOTE, 'question', 'words'], 'to the client when their question is answered'],
        'quote-answered' => [Purpose::Staff, [...self::QUOTE, 'what', 'words'], 'to the lead when a client answers a quote'],
        'agreement' => [
            Purpose::Agreement,
            ['first_name', 'client', 'address', 'project', 'asset', 'quote', 'total', 'ready_by', 'lead', 'today'],
            'the first words of an agreement',
        ],
        'agreement-sign' => [Purpose::Agreement, self::SIGN, 'to the client when something is to be signed'],
        'agreement-signed' => [Purpose::Agreement, self::SIGN, 'to the client when something is signed'],
    ];

    /** Keys of those that may be left out: nothing else rests on them, and no plan has promised them. */
    private const OPTIONAL = [
        'wish',
        'booked',
        'series',
        'moved',
        'cancelled',
        'reminder',
        'on-the-way',
        'missed',
        'quote-nudge',
        'quote-accepted',
        'quote-answered',
        'agreement-signed',
        'notices',
    ];

    public static function isOptional(string $key): bool
    {
        return \in_array($key, self::OPTIONAL, true);
    }

    /** @return list<string> */
    public static function of(string $key): array
    {
        return [...self::SHIPPED[$key][1] ?? self::CLIENT, 'business', 'business_phone', 'signature'];
    }

    public static function purpose(string $key): Purpose
    {
        return self::SHIPPED[$key][0] ?? Purpose::Client;
    }

    public static function sentWhen(string $key): string
    {
        return self::SHIPPED[$key][2] ?? '';
    }

    public static function isShipped(string $key): bool
    {
        return isset(self::SHIPPED[$key]);
    }
}
