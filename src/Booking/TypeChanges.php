<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Core\Booking\InvalidType;
use Telamon\Core\Booking\TypeReader;
use Telamon\Core\Booking\TypeSettings;
use Telamon\Diary\BookingPage;
use Telamon\Diary\Resource;
use Telamon\Diary\Road;
use Telamon\Diary\RoadTable;
use Telamon\Diary\VisitType;
use Telamon\Diary\WorkDay;
use Telamon\Forms\Form;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Messages\MessageTemplate;
use Telamon\Record\ChangedMeanwhile;
use Telamon\Record\Edit;
use Telamon\Record\Hangs;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Changes how the diary is set up: kinds of visit, booking pages, roads, what is taken along, hours on single days. */
final readonly class TypeChanges
{
    private const MOST = 100;

    public function __construct(private EntityManagerInterface $em, private Changes $changes, private Profile $business, private RoadTable $roads, private Hangs $hangs)
    {
    }

    /** @throws Refusal */
    public function keepType(?VisitType $type, Edit $edit, Staff $by): void
    {
        $name = $edit->text('name', 100) ?? '';
        if ('' === $name) {
            throw new InvalidInput('name', 'Give it a name.');
        }
        $settings = $this->settings($edit->any('settings'));
        $slug = $edit->text('slug', 60) ?? '';
        $slug = '' === $slug ? (string) preg_replace('/[^a-z0-9]+/', '-', strtolower((string) transliterator_transliterate('Any-Latin; Latin-ASCII', $name))) : $slug;
        $slug = trim($slug, '-');
        $live = $edit->yes('live') ?? true;
        $this->carryOut(null === $type ? "added the kind of visit $name" : "changed the kind of visit {$type->name}", $by, function () use ($type, $edit, $name, $slug, $settings, $live): void {
            $all = $this->em->getRepository(VisitType::class)->findAll();
            if (1 !== preg_match('/^[a-z0-9][a-z0-9-]*$/D', $slug)) {
                throw new InvalidInput('slug', 'Small letters, figures and hyphens.');
            }
            foreach ($all as $other) {
                if ($other !== $type && $other->slug === $slug) {
                    throw new InvalidInput('slug', "“{$other->name}” has that ending already.");
                }
            }
            if (null === $type) {
                \count($all) < self::MOST ?: throw new InvalidInput('name', 'There are '.self::MOST.' already.');
                $this->em->persist(new VisitType($slug, $name, $settings, $live, \count($all) + 1));

                return;
            }
            $this->em->refresh($type);
            if ($type->version !== $edit->version()) {
                throw new ChangedMeanwhile('Somebody has changed this kind of visit since you looked at it. Nothing was saved; what you wrote is still here.');
            }
            $this->askAbout($type, $type->live && !$live, $type->slug !== $slug, $edit);
            $type->become($slug, $name, $settings, $live);
        }, $type?->id);
    }

    /** @throws InvalidInput */
    public function settings(mixed $data): TypeSettings
    {
        try {
            $settings = (new TypeReader())->read(\is_array($data) ? $data : []);
        } catch (InvalidType $error) {
            throw new InvalidInput("settings.{$error->path}", $error->getMessage());
        }
        foreach ($settings->everybody() as $id) {
            $one = $this->em->find(Staff::class, $id);
            if (null === $one || !$one->active) {
                throw new InvalidInput('settings.people', 'Choose people who are here.');
            }
        }
        foreach ($settings->reminders as $i => $reminder) {
            null !== $this->em->getRepository(MessageTemplate::class)->findOneBy(['key' => $reminder->template]) ?: throw new InvalidInput("settings.reminders.$i", 'Choose a text that is there.');
        }
        foreach ($settings->resources as $id) {
            null !== $this->em->find(Resource::class, $id) ?: throw new InvalidInput('settings.resources', 'Choose what is there.');
        }
        if ('' !== $settings->service && !isset($this->business->services()[$settings->service])) {
            throw new InvalidInput('settings.service', 'Choose a service that is offered.');
        }
        if ('' !== $settings->after && null === $this->em->getRepository(Form::class)->findOneBy(['slug' => $settings->after])?->published) {
            throw new InvalidInput('settings.after', 'Choose a published form.');
        }

        return $settings;
    }

    /** @throws Refusal */
    public function keepPage(?BookingPage $page, Edit $edit, Staff $by): void
    {
        $slug = $edit->text('slug', 60) ?? '';
        $title = $edit->text('title', 120) ?? '';
        $form = $edit->text('form', 60) ?? '';
        $types = $edit->texts('types', 50, 36) ?? [];
        $sites = $edit->texts('sites', 20, 200) ?? ($page->sites ?? []);
        match (true) {
            1 !== preg_match('/^[a-z0-9][a-z0-9-]*$/D', $slug) => throw new InvalidInput('slug', 'Small letters, figures and hyphens.'),
            '' === $title => throw new InvalidInput('title', 'Give it a heading.'),
            [] === $types => throw new InvalidInput('types', 'Choose one kind of visit at least.'),
            default => null,
        };
        $found = $this->em->getRepository(Form::class)->findOneBy(['slug' => $form]);
        if (null === $found?->published) {
            throw new InvalidInput('form', 'Choose a published form: it asks who books.');
        }
        foreach ($types as $id) {
            null !== $this->em->find(VisitType::class, $id) ?: throw new InvalidInput('types', 'Choose kinds that are there.');
        }
        foreach ($sites as $site) {
            1 === preg_match('#^https?://[a-z0-9.-]+(:\d+)?$#Di', $site) ?: throw new InvalidInput('sites', "“{$site}” is no site: write it like https://www.example.com.");
        }
        $this->carryOut(null === $page ? "added the booking page $title" : "changed the booking page {$page->title}", $by, function () use ($page, $edit, $slug, $title, $form, $types, $sites): void {
            $other = $this->em->getRepository(BookingPage::class)->findOneBy(['slug' => $slug]);
            if (null !== $other && $other !== $page) {
                throw new InvalidInput('slug', "“{$other->title}” has that ending already.");
            }
            $live = $edit->yes('live') ?? true;
            $intro = $edit->text('intro', 500) ?? '';
            if (null === $page) {
                $page = new BookingPage($slug, $title, $intro, $types, $form, $live);
                $this->em->persist($page);
            } elseif ($page->version !== $edit->version()) {
                throw new ChangedMeanwhile('Somebody has changed this page since you looked at it. Nothing was saved; what you wrote is still here.');
            } else {
                $this->askAbout($page, $page->live && !$live, $page->slug !== $slug, $edit);
            }
            $page->become($slug, $title, $intro, $types, $form, $live, $sites);
        }, $page?->id);
    }

    /**
     * What names it would lead nowhere: whoever takes it out of use or gives it another address is told what that is,
     * and says so once more.
     *
     * @throws InvalidInput
     */
    private function askAbout(VisitType|BookingPage $what, bool $ends, bool $moves, Edit $edit): void
    {
        $named = $ends || $moves ? $this->hangs->on($what) : [];
        if ([] !== $named && true !== $edit->yes('anyway')) {
            throw new InvalidInput(
                $ends ? 'live' : 'slug',
                'It is named in '.implode(', ', $named).'. Take it out there first, or do it anyway: what they say then leads nowhere.',
            );
        }
    }

    /** @throws Refusal */
    public function keepRoads(Edit $edit, Staff $by): void
    {
        $unknown = $edit->whole('unknown', 0, 600) ?? throw new InvalidInput('unknown', 'Say how long an unknown road counts.');
        $business = $this->business->business();
        $driving = $edit->whole('littleDriving', 0, 600) ?? $business->littleDriving;
        $gap = $edit->whole('smallGap', 0, 600) ?? $business->smallGap;
        $hours = $edit->whole('offerHours', 1, 336) ?? $business->offerHours;
        $csv = $edit->text('csv', 200_000) ?? '';
        $rows = '' === $csv
            ? array_map(
                static fn (mixed $row): array => \is_array($row) ? [$row['from'] ?? '', $row['to'] ?? '', $row['minutes'] ?? ''] : [],
                \is_array($edit->any('roads')) ? array_values($edit->any('roads')) : [],
            )
            : RoadFile::rows($csv);
        $wanted = [];
        foreach ($rows as $i => $row) {
            [$from, $to, $minutes] = $row + ['', '', ''];
            $line = 'Line '.($i + 1);
            if (!\is_string($from) || !\is_string($to) || '' === trim($from) || '' === trim($to) || mb_strlen($from) > 60 || mb_strlen($to) > 60) {
                throw new InvalidInput("roads.$i", "$line: name two areas of at most 60 characters.");
            }
            if (!is_numeric($minutes) || (int) $minutes < 0 || (int) $minutes > 600 || (string) (int) $minutes !== trim((string) $minutes)) {
                throw new InvalidInput("roads.$i", "$line: write whole minutes, from 0 to 600.");
            }
            $wanted[trim($from)."\n".trim($to)] = (int) $minutes;
        }
        if (\count($wanted) > 2000) {
            throw new InvalidInput('roads', 'That is more than 2,000 roads.');
        }
        $this->carryOut('changed the table of roads', $by, function () use ($unknown, $wanted, $business, $driving, $gap, $hours): void {
            $business->guessRoads($unknown);
            $business->placeBy($driving, $gap, $hours);
            foreach ($this->em->getRepository(Road::class)->findAll() as $road) {
                $key = "{$road->from}\n{$road->to}";
                if (!isset($wanted[$key])) {
                    $this->em->remove($road);
                } else {
                    $road->takes($wanted[$key]);
                    unset($wanted[$key]);
                }
            }
            foreach ($wanted as $key => $minutes) {
                [$from, $to] = explode("\n", $key);
                $this->em->persist(new Road($from, $to, $minutes));
            }
        });
        $this->roads->reset();
    }

    /** @throws Refusal */
    public function addResource(Edit $edit, Staff $by): void
    {
        $name = $edit->text('name', 60) ?? '';
        if ('' === $name) {
            throw new InvalidInput('name', 'Give it a name.');
        }
        $this->carryOut("added $name", $by, function () use ($name): void {
            foreach ($this->em->getRepository(Resource::class)->findAll() as $one) {
                if (mb_strtolower($one->name) === mb_strtolower($name)) {
                    throw new InvalidInput('name', "“{$one->name}” is there already.");
                }
            }
            $this->em->persist(new Resource($name));
        });
    }

    /**
     * @param list<array{string, string}>|null $spans null for the hours of the week again
     *
     * @throws Refusal
     */
    public function workDay(Staff $of, \DateTimeImmutable $day, ?array $spans, Staff $by): void
    {
        $this->carryOut("changed the hours of {$of->name} on {$day->format('j F')}", $by, function () use ($of, $day, $spans): void {
            $there = $this->em->getRepository(WorkDay::class)->findOneBy(['staff' => $of, 'day' => $day]);
            match (true) {
                null === $spans && null !== $there => $this->em->remove($there),
                null === $spans => null,
                null !== $there => $there->work($spans),
                default => $this->em->persist(new WorkDay($of, $day, $spans)),
            };
        }, $of->id);
    }

    /** @param \Closure(): void $do */
    private function carryOut(string $words, Staff $by, \Closure $do, ?string $about = null): void
    {
        $business = $this->business->business();
        $this->changes->carryOut(Act::of(ChangeKind::Settings, $words, $by)->on('business', $about ?? $business->id, $business->name), $do);
        $this->business->reset();
    }
}
