<?php

declare(strict_types=1);

namespace Telamon\Core\Plan;

/** The kinds of writing that accepting a plan can do. */
enum EffectKind: string
{
    case CreateClient = 'client.create';
    case UseClient = 'client.use';
    case CreateAsset = 'asset.create';
    case UseAsset = 'asset.use';
    case OpenProject = 'project.open';
    case UseProject = 'project.use';
    case AddTask = 'task.add';
    case SetField = 'field.set';
    case AddTags = 'tags.add';
    case AddContact = 'contact.add';
    case AddWish = 'wish.add';
    case AttachFiles = 'files.attach';
    case KeepSheet = 'sheet.keep';
    case QueueMessage = 'message.queue';
}
