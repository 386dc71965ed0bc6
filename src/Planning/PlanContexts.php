<?php

declare(strict_types=1);

namespace Telamon\Planning;

use Psr\Clock\ClockInterface;
use Telamon\Business\OwnFields;
use Telamon\Business\Profile;
use Telamon\Business\Remembered;
use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Planning\Inquiry;
use Telamon\Core\Planning\Naming;
use Telamon\Core\Planning\OfferedService;
use Telamon\Core\Planning\OnFile;
use Telamon\Core\Planning\PlanContext;
use Telamon\Core\Planning\Ruling;
use Telamon\Core\Planning\Workplace;
use Telamon\Core\Reading\PhoneReader;
use Telamon\FollowUps\FollowUps;
use Telamon\Messages\MessageQueue;
use Telamon\Notices\Rooms;
use Telamon\Tasks\CrewOfBusiness;
use Telamon\Tasks\TaskCounts;

/** What the core needs to know of the business to plan anything: put beside what was read. */
final readonly class PlanContexts
{
    public function __construct(
        private Profile $business,
        private MessageQueue $messages,
        private FollowUps $followUps,
        private Rooms $rooms,
        private OwnFields $fields,
        private PhoneReader $phones,
        private Remembered $remembered,
        private ServiceLeads $leads,
        private CrewOfBusiness $crew,
        private TaskCounts $counts,
        private ClockInterface $clock,
    ) {
    }

    public function of(Inquiry $inquiry, Ruling $ruling, OnFile $onFile = new OnFile()): PlanContext
    {
        $known = $this->remembered->get('workplace', fn (): array => [
            'services' => $this->business->services(),
            'coordinator' => $this->business->coordinator(),
            'base' => $this->business->baseChecklist(),
            'calendar' => $this->business->workingDays(),
            'templates' => $this->messages->templateNames() + $this->followUps->namesForPlans() + $this->rooms->namesForPlans(),
            'staff' => $this->crew->here(),
            'naming' => new Naming($this->business->business()->assetWord, $this->fields->byName(), $this->business->business()->currency),
        ]);
        $asked = CrewOfBusiness::isAsked([
            $known['base'],
            ...array_values(array_filter(array_map(static fn (OfferedService $service): ?Checklist => $service->addOn, $known['services']))),
            ...array_values($ruling->book->checklists),
        ]);
        $desk = new Workplace(
            $this->leads->found($known['services']),
            $known['coordinator'],
            $known['base'],
            $known['calendar'],
            $known['templates'],
            $known['naming'],
            $this->phones,
            $known['staff'],
            $asked ? $this->crew->newest() : [],
            $asked ? $this->counts->openByStaff() : [],
        );

        return new PlanContext($inquiry, $onFile, $desk, $this->clock->now()->setTimezone($this->business->zone()), $ruling);
    }
}
