<?php

declare(strict_types=1);

namespace Telamon\Files;

use Doctrine\ORM\Mapping as ORM;

/** A file that came before its form was sent. Its id is a secret that only the sender knows. */
#[ORM\Entity]
#[ORM\Index(columns: ['received_at'])]
class Upload
{
    #[ORM\Id, ORM\Column(length: 32)]
    public readonly string $id;

    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(referencedColumnName: 'sha256', nullable: false)]
        public readonly StoredFile $file,
        #[ORM\Column(length: 200)]
        public readonly string $name,
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column]
        public \DateTimeImmutable $receivedAt,
    ) {
        $this->id = bin2hex(random_bytes(16));
    }
}
