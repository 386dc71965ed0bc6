<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Access\Viewer;
use Telamon\Record\RecordRef;

/** Whom a client has to do with, for their page; from either side. */
final readonly class LinksOfClient
{
    private const MOST = 100;

    public function __construct(private EntityManagerInterface $em, private Viewer $viewer)
    {
    }

    /** @return list<array<string, mixed>> as links of Client in the contract */
    public function ofClient(Client $client): array
    {
        $links = [];
        foreach (['client' => true, 'other' => false] as $side => $from) {
            foreach ($this->em->getRepository(ClientLink::class)->findBy([$side => $client], ['id' => 'ASC'], self::MOST) as $link) {
                $to = $from ? $link->other : $link->client;
                // Two that were made one leave a link of theirs behind.
                if ($to !== $client && $this->viewer->sees($to)) {
                    $links["{$link->kind->value} {$to->id}"] = ['id' => $link->id, 'words' => $link->kind->words($from), 'client' => RecordRef::of($to)];
                }
            }
        }

        return array_values($links);
    }
}
