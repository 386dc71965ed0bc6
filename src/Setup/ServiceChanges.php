<?php

declare(strict_types=1);

namespace Telamon\Setup;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\ChecklistTemplate;
use Telamon\Business\Led;
use Telamon\Business\Service;
use Telamon\Record\Edit;
use Telamon\Record\FreeKey;
use Telamon\Record\Hangs;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Adds services, says who leads them and which checklist joins, retires them and brings them back. */
final readonly class ServiceChanges
{
    private const MOST = 100;

    public function __construct(private Hangs $hangs, private EntityManagerInterface $em, private SetupActs $acts)
    {
    }

    /** @throws Refusal */
    public function add(Edit $edit, Staff $staff): void
    {
        $name = $this->named($edit, null) ?? throw new InvalidInput('name', 'A service has a name.');
        $lead = $this->lead($edit) ?? throw new InvalidInput('lead', 'Choose who leads it.');
        $this->acts->carryOut("added the service $name", $staff, function () use ($edit, $name, $lead): void {
            $services = $this->em->getRepository(Service::class)->findAll();
            if (\count($services) >= self::MOST) {
                throw new InvalidInput('name', 'There are '.self::MOST.' services already.');
            }
            $this->named($edit, null);
            $key = FreeKey::of($name, array_map(static fn (Service $one): string => $one->key, $services));
            $service = new Service($key, $name, $lead, self::why($name, $lead), $this->checklist($edit, null));
            $this->particulars($service, $edit);
            $this->em->persist($service);
        });
    }

    /** @throws Refusal */
    public function change(Service $service, Edit $edit, Staff $staff): void
    {
        $retired = $edit->yes('retired') ?? $service->retired;
        $named = $retired && !$service->retired ? $this->hangs->on($service) : [];
        if ([] !== $named && true !== $edit->yes('anyway')) {
            throw new InvalidInput('retired', 'It is named in '.implode(', ', $named).'. Take it out there first, or retire it anyway: what they say then leads nowhere.');
        }
        $words = $retired === $service->retired ? "changed the service {$service->name}" : ($retired ? "retired the service {$service->name}" : "offers {$service->name} again");
        $this->acts->carryOut($words, $staff, function () use ($service, $edit, $retired): void {
            $name = $this->named($edit, $service) ?? $service->name;
            $service->become($name, $this->checklist($edit, $service->addOn), $retired);
            $lead = $this->lead($edit);
            if (null !== $lead && $lead !== $service->lead) {
                $service->leadBy($lead, self::why($name, $lead));
            }
            $this->particulars($service, $edit);
        }, $service->id);
    }

    /** What clients are told, who takes turns, and how soon somebody answers. */
    private function particulars(Service $service, Edit $edit): void
    {
        $service->tell($edit->text('words', 2000) ?? $service->words);
        $text = $edit->text('led', 6);
        $led = null === $text ? $service->led : Led::tryFrom($text) ?? throw new InvalidInput('led', 'Choose how the lead is found.');
        $among = $edit->texts('among', 20, 36) ?? $service->among;
        foreach ($among as $id) {
            $one = $this->em->find(Staff::class, $id);
            null !== $one && ($one->active || \in_array($id, $service->among, true)) ?: throw new InvalidInput('among', 'Choose people who are here.');
        }
        if (Led::Named !== $led && \count($among) < 2) {
            throw new InvalidInput('among', 'Choose two people at least to take turns.');
        }
        $service->takeTurns($led, $among);
        $this->care($service, $edit);
        $hours = $edit->text('promise', 4);
        if (null !== $hours) {
            $service->promise('' === $hours ? null : (1 === preg_match('/^([1-9]\d{0,2})$/D', $hours) && (int) $hours <= 320 ? 60 * (int) $hours : throw new InvalidInput(
                'promise',
                'Write whole working hours, from 1 to 320, or nothing.',
            )));
        }
    }

    /** What is to be done once a project of it is, after months or in a week of the year. */
    private function care(Service $service, Edit $edit): void
    {
        $number = static function (string $field, ?int $now, int $most) use ($edit): ?int {
            $text = $edit->text($field, 3);
            if (null === $text || '' === $text) {
                return null === $text ? $now : null;
            }

            return ctype_digit($text) && (int) $text >= 1 && (int) $text <= $most
                ? (int) $text
                : throw new InvalidInput($field, "Write a whole number, from 1 to $most, or nothing.");
        };
        $task = $edit->text('careTask', 200) ?? $service->careTask;
        [$months, $week] = [$number('careMonths', $service->careMonths, 120), $number('careWeek', $service->careWeek, 53)];
        if ('' !== $task && null === $months && null === $week) {
            throw new InvalidInput('careMonths', 'Say after how many months, or in which week.');
        }
        $service->care($task, $months, $week);
    }

    /** Why somebody leads, as plans say it. */
    public static function why(string $service, Staff $lead): string
    {
        return mb_substr("$service goes to {$lead->name}", 0, 100);
    }

    private function named(Edit $edit, ?Service $self): ?string
    {
        $name = $edit->text('name', 100);
        if ('' === $name) {
            throw new InvalidInput('name', 'A service has a name.');
        }
        foreach ($this->em->getRepository(Service::class)->findAll() as $one) {
            if (null !== $name && $one !== $self && mb_strtolower($one->name) === mb_strtolower($name)) {
                throw new InvalidInput('name', "There is a service “{$one->name}” already".($one->retired ? ', retired. Bring it back instead.' : '.'));
            }
        }

        return $name;
    }

    private function lead(Edit $edit): ?Staff
    {
        $id = $edit->text('lead', 36);
        $lead = null === $id ? null : $this->em->find(Staff::class, $id);

        return null === $id || (null !== $lead && $lead->active) ? $lead : throw new InvalidInput('lead', 'Choose somebody who is here.');
    }

    private function checklist(Edit $edit, ?ChecklistTemplate $now): ?ChecklistTemplate
    {
        $id = $edit->text('checklist', 36);
        if (null === $id || '' === $id) {
            return null === $id ? $now : null;
        }
        $list = $this->em->find(ChecklistTemplate::class, $id);

        return null === $list || $list->isBase || ($list->retired && $list !== $now) ? throw new InvalidInput('checklist', 'Choose a checklist that is there.') : $list;
    }
}
