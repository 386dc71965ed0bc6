<?php

declare(strict_types=1);

namespace Telamon\Staff;

/** What somebody may do. Routes ask for one of these, never for a role. */
enum Permission: string
{
    /** To be here at all: one's own work, and the records that it is about. */
    case Work = 'work';
    /** To read every record, whoever works on it. */
    case SeeAll = 'records.see-all';
    case Decide = 'arrivals.decide';
    case KeepDiary = 'diary.keep';
    case SeeQuotes = 'quotes.see';
    case Quote = 'quotes.keep';
    case SeePrices = 'prices.see';
    /** To change the price list, and how the business quotes. */
    case KeepPrices = 'prices.keep';
    case Message = 'messages.see';
    /** To write to clients, and to keep templates and follow-ups. */
    case Write = 'messages.write';
    case Merge = 'clients.merge';
    case Import = 'clients.import';
    case EditClients = 'clients.edit';
    case LeadAny = 'projects.lead-any';
    case UndoAny = 'changes.undo-any';
    case Design = 'forms.design';
    case Rule = 'rules.keep';
    case SetUp = 'setup.change';
}
