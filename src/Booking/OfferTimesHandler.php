<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Telamon\Clients\Client;
use Telamon\Core\Effects\OfferTimes;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;
use Telamon\Projects\Project;

/**
 * Mails the client a link to a booking page: of the project where there is one. Without the page, or without a mail
 * address, nothing goes out.
 *
 * @implements EffectHandler<OfferTimes>
 */
final readonly class OfferTimesHandler implements EffectHandler
{
    public function __construct(private BookingPages $pages, private BookingLinks $links, private OfferMails $offers)
    {
    }

    public static function of(): string
    {
        return OfferTimes::class;
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
        $message = $this->offers->send($client, $project, $page->title, $this->links->pageAddress($page->slug, null === $project ? $this->links->forClient($client) : $this->links->forProject($project)));

        return null === $message ? [] : [$message];
    }
}
