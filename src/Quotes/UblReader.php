<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Telamon\Core\Quotes\ContentReader;
use Telamon\Core\Quotes\InvalidContent;
use Telamon\Core\Quotes\QuoteLine;
use Telamon\Core\Quotes\Units;
use Telamon\Core\Quotes\Vat;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;

/** Reads a supplier's UBL 2.1 Quotation as lines of a quote of ours. Nothing is fetched, and no entity is put in. */
final readonly class UblReader
{
    private const MOST_LINES = 500;
    private const SPACE = 'urn:oasis:names:specification:ubl:schema:xsd:Quotation-2';

    /**
     * @param Vat $usual of lines that say no tax
     * @param string $currency in which the business quotes, ISO 4217
     *
     * @return array{currency: string, from: string, lines: list<array<string, mixed>>} lines as QuoteLine in the contract
     *
     * @throws Refusal
     */
    public function read(string $xml, Vat $usual, string $currency): array
    {
        $doc = new \DOMDocument();
        $before = libxml_use_internal_errors(true);
        try {
            if (
                '' === trim($xml)
                || !self::isUnicode($xml)
                || str_contains($xml, '<!DOCTYPE')
                || !$doc->loadXML($xml, \LIBXML_NONET)
                || self::SPACE !== $doc->documentElement?->namespaceURI
            ) {
                throw new InvalidInput('xml', 'That is no UBL Quotation that can be read.');
            }
        } finally {
            libxml_clear_errors();
            libxml_use_internal_errors($before);
        }
        $path = new \DOMXPath($doc);
        $text = static function (string $query, \DOMNode $in) use ($path): string {
            $found = $path->evaluate("string($query)", $in);

            return \is_string($found) ? trim($found) : '';
        };
        $from = $text("/*/*[local-name()='SellerSupplierParty']//*[local-name()='PartyName']/*[local-name()='Name']", $doc);
        $nodes = $path->query("/*/*[local-name()='QuotationLine']/*[local-name()='LineItem']");
        if (false === $nodes || 0 === $nodes->length) {
            throw new InvalidInput('xml', 'The quotation has no lines.');
        }
        if ($nodes->length > self::MOST_LINES) {
            throw new InvalidInput('xml', 'At most '.self::MOST_LINES.' lines are read at once.');
        }
        foreach ($path->query("//*[local-name()='PriceAmount']/@currencyID") ?: [] as $in) {
            if ($currency !== $in->nodeValue) {
                throw new InvalidInput('xml', "It is in {$in->nodeValue}, and we quote in $currency: its prices would be wrong. Write the lines by hand.");
            }
        }
        $lines = [];
        foreach ($nodes as $i => $node) {
            if (!$node instanceof \DOMElement) {
                continue;
            }
            $lines[] = $this->line($node, $i, $text, $from, $usual)->toArray();
        }

        return ['currency' => $currency, 'from' => $from, 'lines' => $lines];
    }

    /** @param \Closure(string, \DOMNode): string $text */
    private function line(\DOMElement $node, int $i, \Closure $text, string $from, Vat $usual): QuoteLine
    {
        $tax = "*[local-name()='Item']/*[local-name()='ClassifiedTaxCategory']";
        $category = $text("$tax/*[local-name()='ID']", $node);
        $rate = $text("$tax/*[local-name()='Percent']", $node);
        $unit = $text("*[local-name()='Quantity']/@unitCode", $node);
        // A base quantity other than one is the price of so many.
        $price = $text("*[local-name()='Price']/*[local-name()='PriceAmount']", $node);
        $base = $text("*[local-name()='Price']/*[local-name()='BaseQuantity']", $node);
        try {
            $figure = static fn (string $value, string $what): ?string => ContentReader::figure($value, $what);

            return new QuoteLine(
                'u'.($i + 1), '', mb_substr($text("*[local-name()='Item']/*[local-name()='Name']", $node), 0, 200) ?: 'Line '.($i + 1), mb_substr(
                    $text("*[local-name()='Item']/*[local-name()='Description']", $node),
                    0,
                    2000,
                ),
                $figure($text("*[local-name()='Quantity']", $node), 'quantity') ?? '1', isset(Units::ALL[$unit])
                    ? $unit
                    : 'C62', '' === $base || '1' === $base
                    ? $figure($price, 'price')
                    : null, null, null,
                isset(Vat::CATEGORIES[$category]) && '' !== $rate ? new Vat($category, $figure($rate, 'rate') ?? '0') : $usual, '', false, false, '',
                mb_substr('' === $from ? 'a quotation' : "quotation of $from", 0, 300),
            );
        } catch (InvalidContent $error) {
            throw new InvalidInput('xml', 'Line '.($i + 1).": {$error->path}: {$error->getMessage()}");
        }
    }

    /** Only what says so, or says nothing: in other encodings a word that is looked for may be spelt otherwise (UTF-7, EBCDIC). */
    private static function isUnicode(string $xml): bool
    {
        $plain = str_replace("\0", '', substr($xml, 0, 400));
        $named = 1 === preg_match('/<\?xml[^>]*encoding\s*=\s*["\']([^"\']+)/i', $plain, $m) ? strtolower($m[1]) : 'utf-8';
        $isWide = str_starts_with($xml, "\xFF\xFE") || str_starts_with($xml, "\xFE\xFF");

        return \in_array($named, ['utf-8', 'utf-16', 'utf-16le', 'utf-16be'], true)
            && ($isWide ? !str_contains($plain, '<!DOCTYPE') && !str_contains($plain, '<!ENTITY') : mb_check_encoding($xml, 'UTF-8') && !str_contains($xml, "\0") && 'utf-8' === $named);
    }
}
