<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** The record field that an answer goes to. */
enum Destination: string
{
    case ClientName = 'client.name';
    case ClientEmail = 'client.email';
    case ClientPhone = 'client.phone';
    case AssetDescription = 'asset.description';
    case AssetPlace = 'asset.place';
    case ProjectService = 'project.service';
    case ProjectReadyBy = 'project.ready_by';
    case ProjectNotes = 'project.notes';
    case Files = 'files';
}
