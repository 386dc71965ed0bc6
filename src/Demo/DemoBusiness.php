<?php

declare(strict_types=1);

namespace Telamon\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Telamon\Business\Business;
use Telamon\Business\ChecklistTemplate;
use Telamon\Business\Closure;
use Telamon\Business\Service;
use Telamon\Business\Stage;
use Telamon\Core\Checklists\ChecklistReader;
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
        $business = new Business(
            'Marrowby Piano Workshop',
            'hello@marrowby.example',
            '+353209172204',
            '4 Quarry Steps, Marrowby',
            'IE',
            'Europe/Dublin',
            'EUR',
            'piano',
            'piano',
            [1 => $weekday, 2 => $weekday, 3 => $weekday, 4 => $weekday, 5 => $weekday, 6 => [], 7 => []],
            'Mon to Fri, 8 to 6',
            $nessa,
        );
        $business->offer(
            ['Recommended', 'Our page', 'Sign at the steps', 'Was here before'],
            ['Too dear', 'Too late', 'Went elsewhere', 'No longer wanted', 'Not worth it'],
            ['Too far away', 'An old instrument to give away'],
        );
        $this->em->persist($business);
        $this->closures($today);
        $lists = $this->checklists();
        $tuning = new Service('tuning', 'Tuning', $teo, 'Tunings go to Teo', $lists['tuning']);
        $tuning->care('Ask for the next tuning', 12, null);
        $this->em->persist($tuning);
        $this->em->persist(new Service('repair', 'Repair', $sorcha, 'Repairs go to Sorcha', $lists['repair']));
        $this->em->persist(new Service('restoration', 'New strings and hammers', $sorcha, 'Restorations go to Sorcha', $lists['restoration']));
        $this->em->persist(new Service('moving', 'Moving or storage', $pim, 'Moves go to Pim', $lists['moving']));
        $this->em->persist(new Service('concert', 'Concert service', $teo, 'Concerts go to Teo', $lists['concert']));
        $this->em->flush();
        $this->promises();
    }

    /** How long a project usually stands at a stage. */
    private function promises(): void
    {
        $days = ['Inquiry' => 3, 'Visit' => 7, 'Quote' => 14, 'Workshop' => 25, 'Return' => 60, 'Aftercare' => 90];
        foreach ($this->em->getRepository(Stage::class)->findAll() as $stage) {
            $stage->become($stage->name, $stage->ends, $days[$stage->name] ?? null);
        }
        $this->em->flush();
    }

    private function staff(string $email, string $name, string $initials, Role $role): Staff
    {
        $staff = new Staff($email, $name, $initials, $role);
        $staff->keepPassword($this->hasher->hashPassword($staff, self::PASSWORD));
        $this->em->persist($staff);

        return $staff;
    }

    /** @return array<string, ChecklistTemplate> by key, as their file has them */
    private function checklists(): array
    {
        $lists = [];
        foreach ((array) json_decode((string) file_get_contents(__DIR__.'/checklists.json'), true, 32, \JSON_THROW_ON_ERROR) as $data) {
            $list = new ChecklistTemplate((new ChecklistReader())->read(\is_array($data) ? $data : []));
            $this->em->persist($list);
            $lists[$list->key] = $list;
        }

        return $lists;
    }

    private function closures(\DateTimeImmutable $today): void
    {
        $days = [];
        foreach ([-1, 0, 1] as $offset) {
            $year = (int) $today->format('Y') + $offset;
            $days += [
                "$year-01-01" => 'New Year',
                "$year-03-17" => 'St Patrick',
                "$year-12-24" => 'Christmas',
                "$year-12-25" => 'Christmas',
                "$year-12-26" => 'St Stephen',
                "$year-12-31" => 'Stocktaking',
            ];
        }
        $days += [$today->modify('next friday +14 days')->format('Y-m-d') => 'Workshop outing'];
        foreach ($days as $day => $name) {
            $this->em->persist(new Closure(new \DateTimeImmutable($day, new \DateTimeZone('UTC')), $name));
        }
    }
}
