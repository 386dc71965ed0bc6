<?php

declare(strict_types=1);

namespace Telamon\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Time\WorkingTime;
use Telamon\Projects\Project;
use Telamon\Tasks\Task;

/** The submissions of the last 90 days and what came of them: 120 in all states. */
final class DemoArrivals
{
    private const DECIDED = 103;
    private const STAFF = ['coordinator@marrowby.example', 'coordinator@marrowby.example', 'coordinator@marrowby.example', 'sorcha@marrowby.example'];

    /** @var non-empty-list<array{given: string, family: string, email: string, phone: string, address: string, piano: string}> */
    private array $known;
    private DemoDice $dice;
    private DemoPeople $people;
    private DemoPictures $pictures;
    private WorkingTime $time;
    private \DateTimeImmutable $now;

    public function __construct(private readonly DemoOffice $office, private readonly DemoTimeline $timeline, private readonly EntityManagerInterface $em)
    {
    }

    /** @param non-empty-list<array{given: string, family: string, email: string, phone: string, address: string, piano: string}> $known */
    public function plan(array $known, DemoPeople $people, DemoDice $dice, DemoPictures $pictures, WorkingTime $time, \DateTimeImmutable $now): void
    {
        [$this->known, $this->people, $this->dice, $this->pictures, $this->time, $this->now] = [$known, $people, $dice, $pictures, $time, $now];
        for ($i = 0; $i < self::DECIDED; ++$i) {
            $minutesAgo = intdiv($i * 90 * 1440, self::DECIDED) + $dice->between(0, 900);
            $this->decided($now->modify("-$minutesAgo minutes")->modify('-1500 minutes'));
        }
        // Somebody mistyped an address: her confirmation could not be sent.
        $this->answered(
            $this->ago(400),
            $this->letter([
                'given' => 'Ottoline',
                'family' => 'Gorse',
                'email' => 'ottoline.gorse@refused.example',
                'phone' => '+353209118201',
                'address' => '5 Ropewalk, Marrowby',
                'piano' => $people->piano(),
            ]),
        );
        foreach ([330, 250, 205, 160] as $ago) {
            $this->decided($this->ago($ago));
        }
        $this->waiting();
    }

    private function decided(\DateTimeImmutable $at): void
    {
        if ($this->dice->chance(20)) {
            $this->advert($at);

            return;
        }
        $this->answered(
            $at,
            $this->dice->chance(82) ? $this->letter($this->dice->pick($this->known)) : $this->letter($this->people->person() + ['piano' => $this->people->piano()]),
        );
    }

    /** @param array{string, array<string, string>, list<array{path: string, name: string}>} $letter */
    private function answered(\DateTimeImmutable $at, array $letter): void
    {
        [$form, $answers, $files] = $letter;
        $answered = $this->time->add($at, $this->dice->chance(88) ? $this->dice->between(4, 118) : $this->dice->between(125, 260));
        $by = $this->dice->pick(self::STAFF);
        $this->timeline->at($at, function () use ($form, $answers, $files, $answered, $by): void {
            $id = $this->office->receive($form, $answers, $files);
            $this->timeline->at($answered, function () use ($id, $by): void {
                $project = $this->office->accept($id, $by);
                $this->timeline->at($this->timeline->now()->modify('+8 seconds'), $this->office->send(...));
                $this->timeline->at($this->timeline->now()->modify('+9 seconds'), $this->office->send(...));
                if (null !== $project) {
                    $this->work($project);
                }
            });
        });
    }

    private function advert(\DateTimeImmutable $at): void
    {
        [$name, $email, $text] = $this->dice->pick(DemoWords::ADVERTS);
        $test = $this->dice->chance(15);
        $answers = $test
            ? ['name' => 'Nessa Quarle', 'email' => 'coordinator@marrowby.example', 'service' => 'other', 'matter' => 'Trying the form on my phone.']
            : ['name' => $name, 'email' => $email, 'service' => 'other', 'matter' => $text];
        $this->timeline->at($at, function () use ($answers, $test): void {
            $id = $this->office->receive('piano-inquiry', $answers, []);
            $this->timeline->at($this->time->add($this->timeline->now(), 35), function () use ($id, $test): void {
                $this->office->setAside($id, $test ? 'test' : 'advertising', '', self::STAFF[0]);
            });
        });
    }

    /** Most tasks get done on the day they are due, some a little later, the last ones not yet. */
    private function work(Project $project): void
    {
        $old = $project->openedAt < $this->now->modify('-45 days');
        foreach ($this->em->getRepository(Task::class)->findBy(['project' => $project], ['position' => 'ASC']) as $task) {
            if (!$old && !$this->dice->chance(90)) {
                return;
            }
            $id = $task->id;
            $when = max($task->due->modify('+'.$this->dice->between(9 * 60, 17 * 60).' minutes'), $this->timeline->now()->modify('+2 hours'));
            $this->timeline->at($when, function () use ($id): void {
                $this->office->finish($id);
            });
        }
    }

    /**
     * @param array{given: string, family: string, email: string, phone: string, address: string, piano: string} $who
     *
     * @return array{string, array<string, string>, list<array{path: string, name: string}>}
     */
    private function letter(array $who): array
    {
        $answers = ['name' => trim("{$who['given']} {$who['family']}"), 'email' => $who['email'], 'piano' => $who['piano']];
        if ($this->dice->chance(70)) {
            $answers['phone'] = '0'.substr($who['phone'], 4);
        }
        if ('' === $who['given']) {
            return [
                'concert',
                $answers + [
                    'service' => 'concert',
                    'place' => $who['address'],
                    'matter' => $this->dice->pick(DemoWords::MATTER['concert']),
                    'wanted_by' => $this->day($this->dice->between(12, 60)),
                ],
                [],
            ];
        }
        if ($this->dice->chance(30)) {
            return ['tuning', $answers + ['service' => 'tuning', 'wanted_by' => $this->day($this->dice->between(5, 30))], []];
        }
        $service = $this->dice->pick(['tuning', 'repair', 'repair', 'restoration', 'moving', 'other']);
        $answers += ['service' => $service, 'place' => $who['address'].'.'.$this->dice->pick(DemoWords::STAIRS), 'matter' => $this->dice->pick(DemoWords::MATTER[$service])];
        if ($this->dice->chance(45)) {
            $answers['wanted_by'] = $this->day($this->dice->between(14, 90));
        }

        return ['piano-inquiry', $answers, \in_array($service, ['repair', 'restoration'], true) && $this->dice->chance(75) ? $this->photographs($who['piano']) : []];
    }

    /** A day that was to come when it was written and still is. */
    private function day(int $days): string
    {
        return $this->now->modify("+$days days")->format($this->dice->chance(80) ? 'j F Y' : 'Y-m-d');
    }

    /** @return list<array{path: string, name: string}> */
    private function photographs(string $piano): array
    {
        $n = $this->dice->between(0, 11);
        $files = [
            ['path' => $this->pictures->front($n % 3), 'name' => 'front.jpg'],
            ['path' => $this->pictures->keys1($n % 5), 'name' => 'keys.jpg'],
            ['path' => $this->pictures->strings($n % 4), 'name' => 'strings.jpg'],
        ];
        $files = \array_slice($files, 0, $this->dice->between(1, 3));
        if ($this->dice->chance(30)) {
            $files[] = ['path' => $this->pictures->report($piano, $this->now->modify('-14 months')->format('j F Y'), $n % 6), 'name' => 'tuning report.pdf'];
        }

        return $files;
    }

    /** Twenty that nobody has decided on: one late, one with an ambiguous day, one whose address two clients share, one that did not finish. */
    private function waiting(): void
    {
        $by = [];
        foreach ($this->known as $who) {
            $by[trim("{$who['given']} {$who['family']}")] = $who;
        }
        $year = (int) $this->now->format('Y') + 1;
        $person = static fn (string $name): array => [
            'name' => $name,
            'email' => $by[$name]['email'],
            'phone' => '0'.substr($by[$name]['phone'], 4),
            'piano' => $by[$name]['piano'],
        ];
        $photos = [
            ['path' => $this->pictures->front(0), 'name' => 'front.jpg'],
            ['path' => $this->pictures->keys1(1), 'name' => 'keys.jpg'],
            ['path' => $this->pictures->strings(0), 'name' => 'strings.jpg'],
        ];
        $this->write(
            142,
            'piano-inquiry',
            [
                'service' => 'moving',
                'place' => $by['Wilf Ambry']['address'],
                'matter' => 'The delivery on Friday: could it be after three? The lane is closed in the morning.',
            ] + $person('Wilf Ambry'),
        );
        $this->write(78, 'piano-inquiry', [
            'phone' => '020 914 3327', 'service' => 'repair', 'place' => '7 Weir Cottages, Marrowby. Three steps up.',
            'piano' => 'Upright, Pell & Thrane, about 1924. 48217 is stamped inside the lid.',
            'matter' => DemoWords::MATTER['repair'][0], 'wanted_by' => "04/05/$year",
        ] + $person('Orla Fennick'), $photos);
        $this->write(
            170,
            'concert',
            ['service' => 'concert', 'place' => 'Lantern Street, Marrowby', 'matter' => DemoWords::MATTER['concert'][0], 'wanted_by' => $this->day(24)] + $person('Lantern Hall'),
        );
        $this->write(44, 'tuning', ['service' => 'tuning', 'wanted_by' => $this->day(16)] + $person('Gable Lane School'));
        $this->write(11, 'tuning', ['service' => 'tuning'] + $person('Rosheen Attley'));
        $this->write(
            26,
            'piano-inquiry',
            [
                'name' => 'Ida Dunmarl',
                'service' => 'restoration',
                'place' => '3 Chapel Bank, Dunmarl Bridge',
                'matter' => DemoWords::MATTER['restoration'][0],
            ] + $person('Colm Spindle'),
            [$photos[2]],
        );
        $this->write(
            58,
            'piano-inquiry',
            [
                'name' => 'Tamsin Oakhanger',
                'email' => 'tamsin.oakhanger@example.org',
                'phone' => '020 917 3140',
                'service' => 'tuning',
                'piano' => 'Ostermark upright, perhaps 1950',
                'place' => '12 Mill Race, Saltfold',
                'matter' => 'New to the area. Could somebody come and look it over?',
            ],
            [$photos[0]],
        );
        $this->write(
            65,
            'piano-inquiry',
            [
                'service' => 'repair',
                'place' => $by['Maeve Ó Garrow']['address'],
                'matter' => DemoWords::MATTER['repair'][1],
                'wanted_by' => "03/02/$year",
            ] + $person('Maeve Ó Garrow'),
            [$photos[1]],
        );
        $this->write(112, 'tuning', ['service' => 'tuning', 'wanted_by' => $this->day(9)] + $person('Bryony Tesk'));
        $this->write(
            90,
            'piano-inquiry',
            ['name' => 'Jonty Wyreside', 'email' => 'jonty.wyreside@post.example', 'service' => 'other', 'piano' => '', 'matter' => DemoWords::MATTER['other'][1]],
        );
        $this->write(
            33,
            'piano-inquiry',
            ['service' => 'restoration', 'place' => $by['Hugh Orrin']['address'], 'matter' => DemoWords::MATTER['restoration'][2], 'wanted_by' => $this->day(80)] + $person('Hugh Orrin'),
            \array_slice($photos, 1),
        );
        $this->write(96, 'hello', ['name' => 'Perrin Holloway', 'email' => 'perrin.holloway@example.org', 'reason' => 'My grandmother’s piano, is it worth keeping?']);
        $free = $this->now->modify('+20 days');
        $this->write(71, 'hall-instruments', [
            'hall' => 'Saltfold Chapel Hall', 'email' => 'keys@saltfold-chapel.example', 'phone' => '020 916 4410', 'place' => ['line' => '1 Chapel Row', 'locality' => 'Saltfold'], 'steps' => '6',
            'caretaker' => ['given' => 'Tadg', 'family' => 'Merrow'], 'caretaker_phone' => '020 916 4412', 'key' => 'The bakery next door', 'service' => 'tuning',
            'pianos' => [['make' => 'Ostermark grand', 'serial' => '90311', 'room' => 'Hall', 'pitch' => '440'], ['make' => 'Pell upright', 'serial' => '31907', 'room' => 'Vestry']],
            'when' => ['from' => $free->format('j F Y'), 'to' => $free->modify('+3 days')->format('j F Y')], 'budget' => '€400', 'bring' => 'A lamp for the vestry',
            'agreed' => ['name' => 'Wenna Saltfold', 'how' => 'typed'],
        ]);
        $this->doubtful($by, $person);
        $this->timeline->at($this->ago(9), $this->office->handOn(...));
        $this->write(4, 'piano-inquiry', ['name' => 'Growth Desk', 'email' => 'growth@leads-now.example', 'service' => 'other', 'matter' => DemoWords::ADVERTS[1][2]]);
    }

    /**
     * Six that are not quite who is on file: three to decide on, one of a household, a short form, names changed about.
     *
     * @param array<string, array{given: string, family: string, email: string, phone: string, address: string, piano: string}> $by
     * @param \Closure(string): array{name: string, email: string, phone: string, piano: string} $person
     */
    private function doubtful(array $by, \Closure $person): void
    {
        $this->write(150, 'piano-inquiry', ['name' => 'Greta Ashmere', 'email' => 'greta.ashmere@post.example', 'service' => 'moving', 'place' => '4 Harbour Hill, Corvane', 'matter' => 'We have moved since the wedding. The piano has to follow.'] + $person('Greta Rushby'));
        $this->write(131, 'tuning', ['name' => 'Nuala Culvert', 'email' => 'nuala@culvert-post.example', 'service' => 'tuning']);
        $this->write(104, 'tuning', ['name' => 'Dervla Quillan', 'email' => 'd.quillan@letters.example', 'service' => 'tuning']);
        $this->write(83, 'piano-inquiry', ['name' => 'Conor Thornlea', 'email' => 'conor.thornlea@post.example', 'service' => 'tuning', 'place' => $by['Saoirse Thornlea']['address'], 'matter' => 'My own piano this time, in the back room.', 'piano' => 'Varley upright'] + $person('Saoirse Thornlea'));
        $this->write(52, 'tuning', ['name' => 'Ed Wendle', 'email' => 'ed@wendle-post.example', 'service' => 'tuning', 'wanted_by' => $this->day(21)] + $person('Eamon Wendle'));
        $this->write(37, 'tuning', ['name' => 'Lambe Oisín', 'service' => 'tuning'] + $person('Oisín Lambe'));
    }

    /**
     * @param array<string, mixed> $answers
     * @param list<array{path: string, name: string}> $files
     */
    private function write(int $ago, string $form, array $answers, array $files = []): void
    {
        $this->timeline->at($this->ago($ago), function () use ($form, $answers, $files): void {
            $this->office->receive($form, $answers, $files);
            $this->office->look();
        });
    }

    /** The moment that lies so many working minutes back. */
    private function ago(int $minutes): \DateTimeImmutable
    {
        $low = $this->now->getTimestamp() - 21 * 86400;
        $high = $this->now->getTimestamp();
        while ($high - $low > 20) {
            $middle = intdiv($low + $high, 2);
            $this->time->between($this->now->setTimestamp($middle), $this->now) >= $minutes ? $low = $middle : $high = $middle;
        }

        return $this->now->setTimestamp($low);
    }
}
