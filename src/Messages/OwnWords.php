<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Clients\Asset;

/** What the business calls the fields that a message may name, and an example of each from its own things. */
final readonly class OwnWords
{
    public function __construct(private Profile $business, private EntityManagerInterface $em)
    {
    }

    /**
     * @param list<string> $names
     *
     * @return list<array{name: string, label: string, example: string}> as MergeField in the contract, in that order
     */
    public function of(array $names): array
    {
        $own = $this->own();

        return array_map(static function (string $name) use ($own): array {
            [$label, $example] = $own[$name] ?? ['', ''];
            $usual = FieldWords::of($name);

            return ['name' => $name, 'label' => '' === $label ? $usual['label'] : $label, 'example' => '' === $example ? $usual['example'] : $example];
        }, $names);
    }

    /**
     * @param list<string> $names
     *
     * @return array<string, string> an example of each
     */
    public function examples(array $names): array
    {
        return array_column($this->of($names), 'example', 'name');
    }

    /** @return array<string, array{string, string}> label and example; empty for the usual */
    private function own(): array
    {
        $business = $this->business->business();
        $asset = $this->em->getRepository(Asset::class)->findOneBy([], ['id' => 'DESC'])->description ?? "The {$business->assetWord}";
        $services = array_values($this->business->serviceNames());
        $coordinator = $this->business->coordinator()->name;
        $phone = '' === $business->phone ? '' : $this->business->phoneReader()->format($business->phone);

        return [
            'asset' => [$business->assetWord, $asset],
            'service' => ['', implode(', ', array_filter([$services[0] ?? '', $asset], static fn (string $one): bool => '' !== $one))],
            'answers' => ['', "Which {$business->assetWord}?\n$asset"],
            'lead' => ['', $coordinator],
            'with' => ['', $coordinator],
            'coordinator' => ['', $coordinator],
            'business' => ['', $business->name],
            'business_phone' => ['', $phone],
            'signature' => ['', trim("$coordinator\n{$business->name}".('' === $phone ? '' : ", $phone"))],
        ];
    }
}
