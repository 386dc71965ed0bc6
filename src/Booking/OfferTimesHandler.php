<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Core\Effects\OfferTimes;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\Making;
use Telamon\Effects\MayComeToNothing;
use Telamon\Projects\Project;

/**
 * Mails the client a link to a booking page: of the project where there is one. Without the page, or without a mail
 * address, nothing goes out.
 *
 * @implements MayComeToNothing<OfferTimes>
 */
final readonly class OfferTimesHandler implements MayComeToNothing
{
    public function __construct(private BookingPages $pages, private BookingLinks $links, private OfferMails $offers)
    {
    }

    public static function of(): string
    {
        return OfferTimes::class;
    }

    public function against(Effect $effect, Making $made): string
    {
        \assert($effect instanceof OfferTimes);

        return match (true) {
            null === $this->pages->findLive($effect->page) => 'no times sent, as the page is closed',
            '' === ($made->find(Client::class)?->first(ContactKind::Email) ?? '') => 'no times sent, as there is no mail address',
            default => '',
        };
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof OfferTimes);
        $page = $this->pages->findLive($effect->page);
        $client = $made->find(Client::class);
        if (null === $page || null === $client) {
            return [];
        }
        $project = $made->find(Project::class);
        $message = $this->offers->send(
            $client,
            $project,
            $page->title,
            $this->links->pageAddress($page->slug, null === $project ? $this->links->forClient($client) : $this->links->forProject($project)),
        );

        return null === $message ? [] : [$message];
    }
}
