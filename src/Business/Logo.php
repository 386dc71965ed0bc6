<?php

declare(strict_types=1);

namespace Telamon\Business;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;

/** A picture that stands for the business on its public pages, small and drawn anew. One that gives way stays, so that undo finds it. */
#[ORM\Entity(readOnly: true)]
class Logo
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** @param string $type image/png or image/jpeg */
    public function __construct(
        #[ORM\Column(length: 20)]
        public readonly string $type,
        /** @var string|resource */
        #[ORM\Column(type: 'blob')]
        public readonly mixed $bytes,
    ) {
        $this->id = Ids::next();
    }

    public function bytes(): string
    {
        return \is_resource($this->bytes) ? (string) stream_get_contents($this->bytes, null, 0) : (string) $this->bytes;
    }
}
