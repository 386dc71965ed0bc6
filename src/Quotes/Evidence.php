<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;

/** What the page of a PDF tells of how something was signed, and what stands at its head. */
final readonly class Evidence
{
    public function __construct(private EntityManagerInterface $em, private Profile $business)
    {
    }

    /**
     * @param string $email to which the link was sent
     * @param string $opened how often, in words; empty where nobody counts
     * @param string $total agreed; empty where there is none
     *
     * @return array<string, mixed>|null null where nothing is signed
     */
    public function of(string $record, string $email, string $opened = '', string $total = ''): ?array
    {
        $signed = $this->em->find(Signed::class, $record);

        return null === $signed ? null : [
            'name' => $signed->name, 'drawing' => $signed->drawing, 'at' => $signed->at->setTimezone($this->business->zone())->format('l j F Y, H:i:s T').' ('.$signed->at->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z').')',
            'address' => $signed->address, 'agent' => $signed->agent, 'email' => $email, 'opened' => $opened, 'total' => $total, 'digest' => str_split($signed->sha256, 16),
        ];
    }

    /** @return array{name: string, address: string, phone: string, vatNumber: string} */
    public function head(): array
    {
        $business = $this->business->business();

        return ['name' => $business->name, 'address' => $business->address, 'phone' => $this->business->phoneReader()->format($business->phone), 'vatNumber' => $business->vatNumber];
    }

    /** The colour of the line at the head. */
    public function accent(): string
    {
        $accent = $this->business->business()->accent;

        return '' === $accent ? '#21262B' : $accent;
    }
}
