<?php

declare(strict_types=1);

namespace Telamon\Arrivals;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Clients\Asset;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Core\Form\OnFileAnswers;
use Telamon\Forms\FormVersion;
use Telamon\Forms\PublicFormView;
use Telamon\Record\RecordRef;

/** A form for staff to fill in, with what is on file about a client already in it. */
final readonly class InquirySheet
{
    private const MOST_ASSETS = 20;

    public function __construct(private EntityManagerInterface $em, private PublicFormView $forms, private Profile $business)
    {
    }

    /** @return array<string, mixed> as InquirySheet in the contract */
    public function show(FormVersion $version, ?Client $client): array
    {
        $assets = null === $client ? [] : $this->em->getRepository(Asset::class)->findBy(['client' => $client], ['id' => 'ASC'], self::MOST_ASSETS);

        return [
            'form' => $this->forms->show($version, true),
            'answers' => (object) (null === $client ? [] : OnFileAnswers::to($version->definition(), $this->values($client, $assets), [$client->givenName, $client->familyName])),
            'client' => RecordRef::maybe($client),
            'assets' => array_map(static fn (Asset $asset): string => $asset->description, $assets),
        ];
    }

    /**
     * @param list<Asset> $assets
     *
     * @return array<string, string> by the name of the place
     */
    private function values(Client $client, array $assets): array
    {
        $phone = $client->first(ContactKind::Phone);
        $values = [
            'client.email' => $client->first(ContactKind::Email) ?? '',
            'client.phone' => null === $phone ? '' : $this->business->phoneReader()->format($phone),
            'client.address' => $client->address,
            'client.organisation' => $client->organisation,
        ];
        // Which of several is meant is a question; the only one is not.
        if (1 === \count($assets)) {
            $values += [
                'asset.description' => $assets[0]->description,
                'asset.make' => $assets[0]->make,
                'asset.model' => $assets[0]->model,
                'asset.serial' => $assets[0]->serialNumber,
                'asset.place' => $assets[0]->place,
            ];
        }
        foreach ($client->custom as $key => $value) {
            $values["custom.client.$key"] = $value;
        }

        return $values;
    }
}
