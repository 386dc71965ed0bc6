<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Sabre\VObject\Component\VCard;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Telamon\Business\Profile;
use Telamon\Http\Query;

/** Clients as a file: CSV (RFC 4180) for tables, vCard 4.0 (RFC 6350) for address books. As many as the list shows, a few hundred at a time. */
final readonly class ClientExport
{
    private const AT_ONCE = 500;
    private const COLUMNS = ['name', 'given name', 'family name', 'organisation', 'email', 'phone', 'address', 'tags', 'owner', 'since', 'notes'];

    public function __construct(private EntityManagerInterface $em, private ClientList $list, private Profile $business)
    {
    }

    public function of(Request $request): Response
    {
        $isCards = 'vcard' === Query::oneOf($request, 'format', ['csv', 'vcard']);
        $ids = array_filter(explode(',', $request->query->getString('ids')), static fn (string $id): bool => '' !== $id);
        $response = new StreamedResponse(function () use ($request, $isCards, $ids): void {
            $out = fopen('php://output', 'w') ?: throw new \RuntimeException('nothing can be written');
            if (!$isCards) {
                // The mark by which table programs know UTF-8.
                fwrite($out, "\u{FEFF}");
                fputcsv($out, self::COLUMNS, ',', '"', '', "\r\n");
            }
            for ($from = 0;; $from += self::AT_ONCE) {
                $query = $this->list->search($request)->select('c')->orderBy('c.sortName')->addOrderBy('c.id')->setFirstResult($from)->setMaxResults(self::AT_ONCE);
                if ([] !== $ids) {
                    $query->andWhere('c.id IN (:ids)')->setParameter('ids', $ids);
                }
                /** @var list<Client> $clients */
                $clients = $query->getQuery()->getResult();
                $this->list->loadContactPoints($clients);
                foreach ($clients as $client) {
                    $isCards ? fwrite($out, $this->card($client)) : fputcsv($out, array_map(self::plain(...), $this->row($client)), ',', '"', '', "\r\n");
                }
                $this->em->clear();
                $this->business->reset();
                if (\count($clients) < self::AT_ONCE) {
                    break;
                }
            }
        });
        $response->headers->set('Content-Type', $isCards ? 'text/vcard; charset=utf-8' : 'text/csv; charset=utf-8');
        $response->headers->set('Content-Disposition', 'attachment; filename="clients.'.($isCards ? 'vcf' : 'csv').'"');
        $response->headers->set('Cache-Control', 'no-store');

        return $response;
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

    /** What a table program would take for a formula begins with an apostrophe. */
    private static function plain(string $text): string
    {
        return 1 === preg_match('/^[=@\t\r]|^[+-](?![\d ]+$)/', $text) ? "'$text" : $text;
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
