<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** The record field that an answer goes to. Custom fields are named by the question beside it. */
enum Destination: string
{
    case ClientName = 'client.name';
    case ClientEmail = 'client.email';
    case ClientPhone = 'client.phone';
    case ClientOrganisation = 'client.organisation';
    case ClientAddress = 'client.address';
    case ClientTags = 'client.tags';
    case ClientNotes = 'client.notes';
    case ClientConsent = 'client.consent';
    case ContactName = 'contact.name';
    case ContactEmail = 'contact.email';
    case ContactPhone = 'contact.phone';
    case ContactRole = 'contact.role';
    case AssetDescription = 'asset.description';
    case AssetMake = 'asset.make';
    case AssetModel = 'asset.model';
    case AssetSerial = 'asset.serial';
    case AssetPlace = 'asset.place';
    case AssetNotes = 'asset.notes';
    case ProjectService = 'project.service';
    case ProjectTitle = 'project.title';
    case ProjectReadyBy = 'project.ready_by';
    case ProjectBudget = 'project.budget';
    case ProjectTags = 'project.tags';
    case AppointmentWish = 'appointment.wish';
    case QuoteWish = 'quote.wish';
    case Task = 'task';
    case ProjectNotes = 'project.notes';
    case Files = 'files';
    case ClientCustom = 'custom.client';
    case AssetCustom = 'custom.asset';
    case ProjectCustom = 'custom.project';

    /** How it is called where one is chosen. */
    public function label(): string
    {
        return match ($this) {
            self::ClientOrganisation => 'client, organisation',
            self::ClientConsent => 'client, what they agree to',
            self::AssetDescription => 'asset, what it is',
            self::AssetSerial => 'asset, serial number',
            self::AssetPlace => 'asset, where it stands',
            self::ProjectReadyBy => 'project, ready by',
            self::AppointmentWish => 'appointment wish',
            self::QuoteWish => 'quote wish',
            self::Task => 'a task of the project',
            self::Files => 'files of the project and the asset',
            self::ClientCustom, self::AssetCustom, self::ProjectCustom => 'custom field',
            default => strtr($this->value, ['.' => ', ']),
        };
    }

    /** @return list<string> words in a question's wording that make this the likely place */
    public function words(): array
    {
        return match ($this) {
            self::ClientOrganisation => ['organisation', 'company', 'school', 'firm'],
            self::ClientAddress => ['your address', 'where do you live', 'post', 'invoice'],
            self::ClientConsent => ['may we', 'agree', 'consent', 'newsletter'],
            self::ContactName => ['contact', 'somebody else', 'on site'],
            self::ContactRole => ['role', 'position'],
            self::AssetMake => ['make', 'maker', 'brand'],
            self::AssetModel => ['model'],
            self::AssetSerial => ['serial', 'number is on'],
            self::AssetPlace => ['stand', 'where is'],
            self::ProjectReadyBy => ['ready', 'by when', 'needed by', 'by which day'],
            self::ProjectBudget => ['budget', 'cost', 'spend'],
            self::AppointmentWish => ['when can', 'when would', 'appointment', 'visit', 'time of day', 'which times'],
            self::QuoteWish => ['quote', 'price', 'how many'],
            self::ClientTags, self::ProjectTags => ['how did you find', 'found us'],
            self::ProjectNotes => ['anything else', 'matter', 'tell us'],
            default => [],
        };
    }

    /** The record that a custom field stands on; null for the built-in ones. */
    public function customOf(): ?string
    {
        return match ($this) {
            self::ClientCustom => 'client',
            self::AssetCustom => 'asset',
            self::ProjectCustom => 'project',
            default => null,
        };
    }
}
