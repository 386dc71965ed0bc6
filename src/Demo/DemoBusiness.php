<?php

declare(strict_types=1);

namespace Telamon\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Telamon\Business\Business;
use Telamon\Business\ChecklistTemplate;
use Telamon\Business\Closure;
use Telamon\Business\Service;
use Telamon\Setup\StarterKit;
use Telamon\Staff\Role;
use Telamon\Staff\Staff;

/** The invented Marrowby Piano Workshop: its people, hours, closures, services and checklists. */
final readonly class DemoBusiness
{
    public const PASSWORD = 'telamon-demo';
    public const STAGES = ['Inquiry', 'Visit', 'Quote', 'Workshop', 'Return', 'Aftercare'];

    public function __construct(private EntityManagerInterface $em, private UserPasswordHasherInterface $hasher, private StarterKit $kit)
    {
    }

    public function load(\DateTimeImmutable $today): void
    {
        $this->kit->add(self::STAGES);
        $nessa = $this->staff('coordinator@marrowby.example', 'Nessa Quarle', 'NQ', Role::Coordinator);
        $sorcha = $this->staff('sorcha@marrowby.example', 'Sorcha Vell', 'SV', Role::Owner);
        $pim = $this->staff('pim@marrowby.example', 'Pim Tarrow', 'PT', Role::Field);
        $teo = $this->staff('teo@marrowby.example', 'Teo Ashbrand', 'TA', Role::Field);
        $weekday = [['08:00', '18:00']];
        $business = new Business('Marrowby Piano Workshop', 'hello@marrowby.example', '+353209172204', '4 Quarry Steps, Marrowby', 'IE', 'Europe/Dublin', 'EUR', 'piano', 'piano', [1 => $weekday, 2 => $weekday, 3 => $weekday, 4 => $weekday, 5 => $weekday, 6 => [], 7 => []], 'Mon to Fri, 8 to 6', $nessa);
        $business->offer(['Recommended', 'Our page', 'Sign at the steps', 'Was here before'], ['Too dear', 'Too late', 'Went elsewhere', 'No longer wanted', 'Not worth it'], ['Too far away', 'An old instrument to give away']);
        $this->em->persist($business);
        $this->closures($today);
        $this->service('tuning', 'Tuning', $teo, 'Tunings go to Teo', 'Tuning', [
            ['key' => 'tuning_day', 'name' => 'Agree a day for the tuning', 'position' => 20, 'doer' => 'coordinator', 'days' => 2, 'after' => ['first_talk']],
            ['key' => 'tune', 'name' => 'Tune, and note the pitch', 'position' => 80, 'doer' => 'lead', 'days' => 0, 'from' => 'ready-by', 'after' => ['tuning_day']],
        ]);
        $this->service('repair', 'Repair', $sorcha, 'Repairs go to Sorcha', 'Repair', [
            ['key' => 'look', 'name' => 'Look at the piano', 'position' => 20, 'doer' => 'lead', 'days' => 3, 'after' => ['first_talk']],
            ['key' => 'price', 'name' => 'Write the price', 'position' => 30, 'doer' => 'lead', 'days' => 5, 'after' => ['look']],
            ['key' => 'parts', 'name' => 'Order the parts', 'position' => 70, 'doer' => 'lead', 'days' => -10, 'from' => 'ready-by', 'after' => ['deposit']],
        ]);
        $this->service('restoration', 'New strings and hammers', $sorcha, 'Restorations go to Sorcha', 'Restoration', [
            ['key' => 'measure', 'name' => 'Photograph and measure', 'position' => 20, 'doer' => 'lead', 'days' => 4, 'after' => ['first_talk']],
            ['key' => 'strings', 'name' => 'Order strings and hammers', 'position' => 70, 'doer' => 'lead', 'days' => -20, 'from' => 'ready-by', 'after' => ['measure', 'deposit']],
            ['key' => 'collect', 'name' => 'Collect the piano', 'position' => 80, 'doer' => 'coordinator', 'days' => -10, 'from' => 'ready-by', 'after' => ['deposit']],
        ]);
        $this->service('moving', 'Moving or storage', $pim, 'Moves go to Pim', 'Moving', [
            ['key' => 'way_in', 'name' => 'Measure stairs and doors', 'position' => 20, 'doer' => 'lead', 'days' => 3, 'after' => ['first_talk']],
            ['key' => 'van', 'name' => 'Reserve the van', 'position' => 70, 'doer' => 'lead', 'days' => -3, 'from' => 'ready-by', 'after' => ['way_in']],
        ]);
        $this->service('concert', 'Concert service', $teo, 'Concerts go to Teo', 'Concert', [
            ['key' => 'hall', 'name' => 'Agree pitch and times with the hall', 'position' => 20, 'doer' => 'lead', 'days' => 2, 'after' => ['first_talk']],
            ['key' => 'concert_tuning', 'name' => 'Tune before the rehearsal', 'position' => 80, 'doer' => 'lead', 'days' => 0, 'from' => 'ready-by', 'after' => ['hall']],
        ]);
        $this->em->flush();
    }

    private function staff(string $email, string $name, string $initials, Role $role): Staff
    {
        $staff = new Staff($email, $name, $initials, $role);
        $staff->keepPassword($this->hasher->hashPassword($staff, self::PASSWORD));
        $this->em->persist($staff);

        return $staff;
    }

    /** @param list<array{key: string, name: string, position: int, doer: string, days: int, from?: string, after?: list<string>}> $items */
    private function service(string $key, string $name, Staff $lead, string $rule, string $list, array $items): void
    {
        $checklist = new ChecklistTemplate($list, false, $items);
        $this->em->persist($checklist);
        $this->em->persist(new Service($key, $name, $lead, $rule, $checklist));
    }

    private function closures(\DateTimeImmutable $today): void
    {
        $days = [];
        foreach ([-1, 0, 1] as $offset) {
            $year = (int) $today->format('Y') + $offset;
            $days += ["$year-01-01" => 'New Year', "$year-03-17" => 'St Patrick', "$year-12-24" => 'Christmas', "$year-12-25" => 'Christmas', "$year-12-26" => 'St Stephen', "$year-12-31" => 'Stocktaking'];
        }
        $days += [$today->modify('next friday +14 days')->format('Y-m-d') => 'Workshop outing'];
        foreach ($days as $day => $name) {
            $this->em->persist(new Closure(new \DateTimeImmutable($day, new \DateTimeZone('UTC')), $name));
        }
    }
}
