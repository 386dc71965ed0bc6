<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\Mapping as ORM;

/** A tag of a client, for narrowing the list. The database keeps it beside the client's own tags; nothing else writes it. */
#[ORM\Entity(readOnly: true)]
#[ORM\Index(columns: ['tag', 'client_id'], name: 'client_tag_tag')]
class ClientTag
{
    public function __construct(
        #[ORM\Id, ORM\Column(length: 36)]
        public readonly string $clientId,
        #[ORM\Id, ORM\Column(length: 60)]
        public readonly string $tag,
    ) {
    }
}
