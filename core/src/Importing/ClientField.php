<?php

declare(strict_types=1);

namespace Telamon\Core\Importing;

/** What a column of a file of clients may hold. The values are the plain header, which needs no mapping. */
enum ClientField: string
{
    case ExternalId = 'external_id';
    case GivenName = 'given_name';
    case FamilyName = 'family_name';
    case FullName = 'full_name';
    case Organisation = 'organisation';
    case Email = 'email';
    case Phone = 'phone';
    case AddressLine = 'address_line';
    case Locality = 'locality';
    case PostalCode = 'postal_code';
    case Country = 'country';
    case Address = 'address';
    case Notes = 'notes';

    /**
     * Heads that usually stand above it, folded (common practice).
     *
     * @return list<string>
     */
    public function usualHeads(): array
    {
        return match ($this) {
            self::ExternalId => ['id', 'number', 'client id', 'client number', 'customer id', 'customer number', 'reference', 'ref'],
            self::GivenName => ['first name', 'given', 'firstname', 'forename', 'christian name'],
            self::FamilyName => ['last name', 'family', 'lastname', 'surname'],
            self::FullName => ['name', 'client', 'customer', 'contact', 'contact name', 'full name'],
            self::Organisation => ['organization', 'company', 'business', 'school', 'employer', 'org'],
            self::Email => ['e mail', 'mail', 'email address', 'e mail address', 'mail address'],
            self::Phone => ['telephone', 'mobile', 'tel', 'phone number', 'mobile phone', 'cell', 'telephone number', 'landline'],
            self::AddressLine => ['street', 'address 1', 'address line 1', 'street address', 'line 1'],
            self::Locality => ['city', 'town', 'place', 'village'],
            self::PostalCode => ['postcode', 'zip', 'zip code', 'post code', 'eircode', 'postal'],
            self::Country => ['country code', 'land'],
            self::Address => ['full address', 'home address', 'location'],
            self::Notes => ['note', 'comment', 'comments', 'remarks', 'remark'],
        };
    }
}
