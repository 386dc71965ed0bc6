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

    /**
     * Where the work comes from: the business's own word for it where the address named one, or else what it named.
     *
     * @param list<string> $known the business's words
     *
     * @return string 60 signs at most; empty where nothing was named
     */
    public function source(array $known): string
    {
        $plain = static fn (string $text): string => trim((string) preg_replace('/[^\p{L}\p{N}]+/u', ' ', mb_strtolower($text)));
        [$source, $campaign] = [$this->campaign['utm_source'] ?? '', $this->campaign['utm_campaign'] ?? ''];
        foreach ($known as $one) {
            if (\in_array($plain($one), array_filter([$plain($source), $plain($campaign)], static fn (string $text): bool => '' !== $text), true)) {
                return $one;
            }
        }

        return mb_substr(implode(', ', array_filter([$source, $campaign], static fn (string $text): bool => '' !== $text)), 0, 60);
    }
}
