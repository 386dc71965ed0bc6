<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Doctrine\ORM\Mapping as ORM;

/** Where a submission came from, as far as the browser said and the business keeps. */
#[ORM\Embeddable]
final class Origin
{
    /**
     * @param string $page the page that the form stood on
     * @param array<string, string> $campaign named parameters of its address
     * @param string $networkAddress shortened where the business says so
     * @param \DateTimeImmutable|null $beganAt when filling in began
     */
    public function __construct(
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 500, options: ['default' => ''])]
        public string $page = '',
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(type: 'json', options: ['default' => '{}'])]
        public array $campaign = [],
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(length: 64, options: ['default' => ''])]
        public string $networkAddress = '',
        /** @phpstan-readonly-allow-private-mutation */
        #[ORM\Column(nullable: true)]
        public ?\DateTimeImmutable $beganAt = null,
    ) {
    }
}
