<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Brick\Math\BigDecimal;
use Telamon\Core\Quotes\QuoteLine;
use Telamon\Core\Quotes\Totals;

/** A quote as a UBL 2.1 Quotation (OASIS, ISO/IEC 19845): its elements in the order of the schema (from memory). */
final readonly class UblQuotation
{
    private const NS = 'urn:oasis:names:specification:ubl:schema:xsd:';

    public function of(QuoteFacts $quote): string
    {
        $doc = new \DOMDocument('1.0', 'UTF-8');
        $doc->formatOutput = true;
        $root = $doc->createElementNS(self::NS.'Quotation-2', 'Quotation');
        $doc->appendChild($root);
        $root->setAttribute('xmlns:cac', self::NS.'CommonAggregateComponents-2');
        $root->setAttribute('xmlns:cbc', self::NS.'CommonBasicComponents-2');
        $totals = $quote->totals;
        $this->tree($root, [
            'cbc:UBLVersionID' => '2.1', 'cbc:ID' => $quote->shown(), 'cbc:IssueDate' => $quote->issued, 'cbc:Note' => $quote->content->intro,
            'cbc:PricingCurrencyCode' => $quote->currency,
            'cac:ValidityPeriod' => ['cbc:EndDate' => $quote->validUntil],
            'cac:SellerSupplierParty' => ['cac:Party' => self::seller($quote->business)],
            'cac:BuyerCustomerParty' => ['cac:Party' => self::buyer($quote->client)],
        ]);
        foreach ([[$quote->content->allowances, $totals->allowances, 'false'], [$quote->content->charges, $totals->charges, 'true']] as [$said, $sums, $isCharge]) {
            foreach ($said as $i => $one) {
                $this->tree(
                    $root,
                    ['cac:AllowanceCharge' => [
                        'cbc:ChargeIndicator' => $isCharge,
                        'cbc:AllowanceChargeReason' => $one['name'],
                        'cbc:Amount' => [$this->money($sums[$i]), $quote->currency],
                        'cac:TaxCategory' => self::tax($one['vat']->category, $one['vat']->rate, ''),
                    ]],
                );
            }
        }
        $this->tree($root, $this->taxes($quote, $totals));
        foreach ($quote->content->lines as $i => $line) {
            if ($quote->content->counts($line) && null !== $line->price) {
                $this->tree($root, ['cac:QuotationLine' => $this->line($quote, $line, $i, $totals)]);
            }
        }

        return (string) $doc->saveXML();
    }

    /** @return array<string, mixed> */
    private static function seller(Party $business): array
    {
        return [
            'cac:PartyName' => ['cbc:Name' => $business->name],
            'cac:PostalAddress' => ['cac:AddressLine' => ['cbc:Line' => $business->address], 'cac:Country' => ['cbc:IdentificationCode' => $business->region]],
        ]
            + ('' === $business->vatNumber ? [] : ['cac:PartyTaxScheme' => ['cbc:CompanyID' => $business->vatNumber, 'cac:TaxScheme' => ['cbc:ID' => 'VAT']]])
            + ['cac:Contact' => ['cbc:Telephone' => $business->phone, 'cbc:ElectronicMail' => $business->email]];
    }

    /** @return array<string, mixed> */
    private static function buyer(Party $client): array
    {
        return [
            'cac:PartyName' => ['cbc:Name' => $client->name],
            'cac:PostalAddress' => ['cac:AddressLine' => ['cbc:Line' => $client->address]],
            'cac:Contact' => ['cbc:Telephone' => $client->phone, 'cbc:ElectronicMail' => $client->email],
        ];
    }

    /** @return array<string, mixed> */
    private function taxes(QuoteFacts $quote, Totals $totals): array
    {
        $lines = BigDecimal::zero();
        foreach ($quote->content->lines as $i => $line) {
            $lines = $quote->content->counts($line) ? $lines->plus($totals->lines[$i]) : $lines;
        }
        $subtotals = array_map(
            fn (array $one): array => [
                'cbc:TaxableAmount' => [$this->money($one['taxable']), $quote->currency],
                'cbc:TaxAmount' => [$this->money($one['tax']), $quote->currency],
                'cac:TaxCategory' => self::tax($one['vat']->category, $one['vat']->rate, $one['vat']->needsReason() ? $quote->content->reason : ''),
            ],
            $totals->vat,
        );
        $sum = static fn (array $all): BigDecimal => BigDecimal::sum(
            BigDecimal::zero(),
            ...array_values(array_filter($all, static fn (mixed $one): bool => $one instanceof BigDecimal)),
        );

        return [
            'cac:TaxTotal' => ['cbc:TaxAmount' => [$this->money($totals->tax), $quote->currency], 'cac:TaxSubtotal' => $subtotals],
            'cac:QuotedMonetaryTotal' => [
                'cbc:LineExtensionAmount' => [$this->money($lines), $quote->currency],
                'cbc:TaxExclusiveAmount' => [$this->money($totals->net), $quote->currency],
                'cbc:TaxInclusiveAmount' => [$this->money($totals->total), $quote->currency],
                'cbc:AllowanceTotalAmount' => [$this->money($sum($totals->allowances)), $quote->currency],
                'cbc:ChargeTotalAmount' => [$this->money($sum($totals->charges)), $quote->currency],
                'cbc:PayableAmount' => [$this->money($totals->total), $quote->currency],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private function line(QuoteFacts $quote, QuoteLine $line, int $i, Totals $totals): array
    {
        return [
            'cbc:ID' => (string) ($i + 1),
            'cac:LineItem' => [
                'cbc:ID' => (string) ($i + 1), 'cbc:Quantity' => [$line->quantity, $line->unit, 'unitCode'],
                'cbc:LineExtensionAmount' => [$this->money($totals->lines[$i]), $quote->currency],
                'cac:Price' => ['cbc:PriceAmount' => [$line->price ?? '0', $quote->currency]],
                'cac:Item' => ['cbc:Description' => $line->text, 'cbc:Name' => $line->name] + ('' === $line->code ? [] : [
                    'cac:SellersItemIdentification' => ['cbc:ID' => $line->code],
                ]) + [
                    'cac:ClassifiedTaxCategory' => self::tax($line->vat->category, $line->vat->rate, ''),
                ],
            ],
        ];
    }

    /** @return array<string, mixed> */
    private static function tax(string $category, string $rate, string $reason): array
    {
        return ['cbc:ID' => $category, 'cbc:Percent' => $rate, 'cbc:TaxExemptionReason' => $reason, 'cac:TaxScheme' => ['cbc:ID' => 'VAT']];
    }

    private function money(BigDecimal $sum): string
    {
        return (string) $sum;
    }

    /**
     * Elements in the order given. A list of two or three texts is an element with its currency, or another attribute; a
     * list of maps is one element each. What is empty is left out.
     *
     * @param array<string, mixed> $values
     */
    private function tree(\DOMElement $in, array $values): void
    {
        $doc = $in->ownerDocument ?? throw new \LogicException('an element is in a document');
        foreach ($values as $name => $value) {
            $space = self::NS.(str_starts_with($name, 'cac:') ? 'CommonAggregateComponents-2' : 'CommonBasicComponents-2');
            if (\is_string($value)) {
                if ('' !== $value) {
                    $in->appendChild($doc->createElementNS($space, $name))->appendChild($doc->createTextNode($value));
                }
                continue;
            }
            if (!\is_array($value)) {
                continue;
            }
            if (isset($value[0]) && \is_string($value[0])) {
                $element = $doc->createElementNS($space, $name);
                $element->appendChild($doc->createTextNode($value[0]));
                $element->setAttribute(\is_string($value[2] ?? null) ? $value[2] : 'currencyID', \is_string($value[1] ?? null) ? $value[1] : '');
                $in->appendChild($element);
                continue;
            }
            foreach (array_is_list($value) ? $value : [$value] as $one) {
                if (\is_array($one)) {
                    $element = $doc->createElementNS($space, $name);
                    $in->appendChild($element);
                    /** @var array<string, mixed> $one */
                    $this->tree($element, $one);
                }
            }
        }
    }
}
