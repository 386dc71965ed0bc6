<?php

declare(strict_types=1);

namespace Telamon\Files;

use Doctrine\ORM\Mapping as ORM;

/** The bytes of a file, kept once however often they come. */
#[ORM\Entity]
class StoredFile
{
    /**
     * @param string $sha256 in hexadecimal; also names where it lies
     * @param string $type media type, found from the bytes
     * @param int $size in bytes
     */
    public function __construct(
        #[ORM\Id, ORM\Column(length: 64)]
        public readonly string $sha256,
        #[ORM\Column(length: 100)]
        public readonly string $type,
        #[ORM\Column]
        public readonly int $size,
    ) {
    }

    public function path(): string
    {
        return substr($this->sha256, 0, 2).'/'.$this->sha256;
    }
}
