<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\ORM\EntityManagerInterface;
use Sabre\VObject\Component\VCard;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Telamon\Business\Profile;
use Telamon\Http\CsvFile;
use Telamon\Http\Query;

/** Clients as a file: CSV (RFC 4180) for tables, vCard 4.0 (RFC 6350) for address books. As many as the list shows, a few hundred at a time. */
final readonly class ClientExport
{
    private const AT_ONCE = 500;
    private const COLUMNS = ['name', 'given name', 'family name', 'organisation', 'email', 'phone', 'address', 'tags', 'owner', 'since', 'notes'];

    public function __construct(private EntityManagerInterface $em, private ClientFilters $filters, private Profile $business)
    {
    }

    public function of(Request $request): Response
    {
        $isCards = 'vcard' === Query::oneOf($request, 'format', ['csv', 'vcard']);
        $ids = array_filter(explode(',', $request->query->getString('ids')), static fn (string $id): bool => '' !== $id);
        $clients = $this->clients($request, $ids);

        return $isCards ? $this->cards($clients) : CsvFile::download('clients.csv', (function () use ($clients): iterable {
            yield self::COLUMNS;
            foreach ($clients as $client) {
                yield $this->row($client);
            }
        })());
    }

    /** @param iterable<Client> $clients */
    private function cards(iterable $clients): Response
    {
        return new StreamedResponse(function () use ($clients): void {
            foreach ($clients as $client) {
                echo $this->card($client);
            }
        }, 200, ['Content-Type' => 'text/vcard; charset=utf-8', 'Content-Disposition' => 'attachment; filename="clients.vcf"', 'Cache-Control' => 'no-store']);
    }

    /**
     * @param array<int, string> $ids only these; all that fit where there are none
     *
     * @return iterable<Client>
     */
    private function clients(Request $request, array $ids): iterable
    {
        for ($from = 0;; $from += self::AT_ONCE) {
            $query = $this->filters->query($request)->select('c.id')->orderBy('c.sort_name')->addOrderBy('c.id')->setFirstResult($from)->setMaxResults(self::AT_ONCE);
            if ([] !== $ids) {
                $query->andWhere('c.id IN (:ids)')->setParameter('ids', array_values($ids), ArrayParameterType::STRING);
            }
            /** @var list<Client> $clients */
            $clients = $this->em->createQueryBuilder()->select('c', 'p')->from(Client::class, 'c')->leftJoin('c.contactPoints', 'p')
                ->where('c.id IN (:ids)')->setParameter('ids', $query->fetchFirstColumn())->orderBy('c.sortName')->addOrderBy('c.id')->getQuery()->getResult();
            yield from $clients;
            $this->em->clear();
            $this->business->reset();
            if (\count($clients) < self::AT_ONCE) {
                break;
            }
        }
    }

    /** @return list<string> */
    private function row(Client $client): array
    {
        return [
            $client->name(), $client->givenName, $client->familyName, $client->organisation,
            implode("\n", $this->points($client, ContactKind::Email)), implode("\n", $this->points($client, ContactKind::Phone)),
            $client->address, implode(', ', $client->tags), $client->owner->name ?? '', $client->since->format('Y-m-d'), $client->notes,
        ];
    }

    private function card(Client $client): string
    {
        $card = new VCard(['VERSION' => '4.0', 'UID' => "urn:uuid:{$client->id}", 'FN' => $client->name(), 'N' => [$client->familyName, $client->givenName, '', '', '']]);
        foreach (['ORG' => $client->organisation, 'NOTE' => $client->notes, 'LANG' => $client->language] as $name => $value) {
            '' === $value ?: $card->add($name, $value);
        }
        foreach ($this->points($client, ContactKind::Email) as $email) {
            $card->add('EMAIL', $email);
        }
        foreach ($client->contactPoints as $point) {
            ContactKind::Phone !== $point->kind ?: $card->add('TEL', "tel:{$point->value}", ['VALUE' => 'uri']);
        }
        // Written as one: it is kept as one.
        foreach (array_filter([$client->address, ...$client->otherAddresses], static fn (string $one): bool => '' !== $one) as $address) {
            $card->add('ADR', ['', '', $address, '', '', '', '']);
        }[] === $client->tags ?: $card->add('CATEGORIES', $client->tags);

        return $card->serialize();
    }

    /** @return list<string> */
    private function points(Client $client, ContactKind $kind): array
    {
        $points = [];
        foreach ($client->contactPoints as $point) {
            if ($point->kind === $kind) {
                $points[] = ContactKind::Phone === $kind ? $this->business->phoneReader()->format($point->value) : $point->value;
            }
        }

        return $points;
    }
}
