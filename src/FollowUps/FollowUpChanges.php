<?php

declare(strict_types=1);

namespace Telamon\FollowUps;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Core\FollowUps\InvalidSeries;
use Telamon\Core\FollowUps\Series;
use Telamon\Core\FollowUps\SeriesReader;
use Telamon\Core\FollowUps\Stand;
use Telamon\Core\FollowUps\StepKind;
use Telamon\Diary\BookingPage;
use Telamon\Forms\PublishedForms;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Messages\MessageTemplate;
use Telamon\Messages\Purpose;
use Telamon\Projects\Project;
use Telamon\Record\ChangedMeanwhile;
use Telamon\Record\FreeKey;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Makes and changes follow-ups; begins and ends them with somebody, by hand. */
final readonly class FollowUpChanges
{
    private const MOST = 50;

    public function __construct(
        private EntityManagerInterface $em,
        private Changes $changes,
        private SeriesReader $reader,
        private Walking $walking,
        private PublishedForms $forms,
        private Profile $business,
        private ClockInterface $clock,
    ) {
    }

    /**
     * @param mixed $courses as FollowUpCourses in the contract
     *
     * @throws InvalidInput
     */
    public function check(mixed $courses): Series
    {
        try {
            $series = $this->reader->read(\is_array($courses) ? $courses : []);
        } catch (InvalidSeries $error) {
            throw new InvalidInput($error->path, $error->getMessage());
        }
        $known = array_map(
            static fn (MessageTemplate $one): string => $one->key,
            array_filter(
                $this->em->getRepository(MessageTemplate::class)->findBy(['retired' => false]),
                static fn (MessageTemplate $one): bool => Purpose::Client === $one->purpose(),
            ),
        );
        $pages = array_map(static fn (BookingPage $one): string => $one->slug, $this->em->getRepository(BookingPage::class)->findBy(['live' => true]));
        $forms = $this->forms->published();
        foreach ($series->courses as $course => $steps) {
            foreach ($steps as $i => $step) {
                if ('send' === $step->kind->value && !\in_array($step->what, $known, true)) {
                    throw new InvalidInput("courses.$course.$i.what", 'This template is not there any more. Choose another.');
                }
                if (StepKind::Times === $step->kind && !\in_array($step->what, $pages, true)) {
                    throw new InvalidInput("courses.$course.$i.what", 'This booking page is closed. Choose another.');
                }
                if (StepKind::Form === $step->kind && !\in_array($step->what, $forms, true)) {
                    throw new InvalidInput("courses.$course.$i.what", 'This form is not published any more. Choose another.');
                }
                if ('stage' === $step->kind->value && !\in_array($step->what, $this->business->stages(), true)) {
                    throw new InvalidInput("courses.$course.$i.what", 'This stage is not there any more. Choose another.');
                }
            }
        }

        return $series;
    }

    /**
     * @param array<array-key, mixed> $body as FollowUpDraft in the contract
     *
     * @throws Refusal
     */
    public function make(array $body, Staff $staff): FollowUp
    {
        $series = $this->check($body['courses'] ?? null);
        $name = self::name($body);

        return $this->changes->carryOut($this->act("made the follow-up “{$name}”", $staff, null), function () use ($name, $series): FollowUp {
            $there = $this->em->getRepository(FollowUp::class)->findAll();
            if (\count($there) >= self::MOST) {
                throw new InvalidInput('name', 'There are '.self::MOST.' follow-ups already.');
            }
            self::refuseSameName($name, $there, null);
            $made = new FollowUp(FreeKey::of($name, array_map(static fn (FollowUp $one): string => $one->key, $there)), $name, $series);
            $this->em->persist($made);

            return $made;
        });
    }

    /**
     * @param array<array-key, mixed> $body as FollowUpDraft in the contract, with the version that was looked at
     *
     * @throws Refusal
     */
    public function change(FollowUp $one, array $body, Staff $staff): void
    {
        $series = $this->check($body['courses'] ?? null);
        $name = self::name($body);
        $this->changes->carryOut($this->act("changed the follow-up “{$name}”", $staff, $one)->looking($one), function () use ($one, $body, $name, $series): void {
            if (($body['version'] ?? null) !== $one->version) {
                throw new ChangedMeanwhile('Somebody else has changed this follow-up. Look at it again; nothing was overwritten.');
            }
            self::refuseSameName($name, $this->em->getRepository(FollowUp::class)->findAll(), $one);
            $one->become($name, $series);
        });
    }

    public function turn(FollowUp $one, bool $on, Staff $staff): void
    {
        $this->changes->carryOut($this->act('switched '.($on ? 'on' : 'off')." the follow-up “{$one->name}”", $staff, $one), static fn () => $one->turn($on));
    }

    /**
     * Brings those inside to the version of now. Whoever stands at a step that is gone goes on with the next that is
     * there, is stopped, or keeps the old version.
     *
     * @param string $gone “next”, “stop” or “keep”
     *
     * @return int how many were brought
     *
     * @throws Refusal
     */
    public function bring(FollowUp $one, string $gone, Staff $staff): int
    {
        if (!\in_array($gone, ['next', 'stop', 'keep'], true)) {
            throw new InvalidInput('gone', 'Say what happens to those who stand at a step that is gone: next, stop or keep.');
        }

        return $this->changes->carryOut($this->act("brought those inside “{$one->name}” to version {$one->version}", $staff, $one), function () use ($one, $gone): int {
            $brought = 0;
            foreach ($this->em->getRepository(FollowUpRun::class)->findBy(['followUp' => $one, 'state' => [RunState::Inside, RunState::Paused]]) as $run) {
                if ($run->ofVersion === $one->version) {
                    continue;
                }
                $stand = $this->standOf($run, $one->series(), 'next' === $gone);
                if (null !== $stand) {
                    $run->follow($one, $stand);
                    ++$brought;
                } elseif ('stop' === $gone) {
                    $run->end('the step they stood at was removed', $this->clock->now());
                    ++$brought;
                }
            }

            return $brought;
        });
    }

    /** @throws Refusal where nobody can be written to */
    public function begin(FollowUp $one, Client $client, ?Project $project, Staff $staff): FollowUpRun
    {
        $act = Act::of(ChangeKind::Handle, "began “{$one->name}” with {$client->name()}", $staff)->about($client);

        return $this->changes->carryOut(
            $act,
            fn (): FollowUpRun => $this->walking->begin($one, $client, $project, null, "by {$staff->name}") ?? throw new InvalidInput(
                'client',
                "{$client->name()} has no mail address, or asked to be left alone.",
            ),
        );
    }

    /** @throws Refusal where it has ended */
    public function stop(FollowUpRun $run, Staff $staff): void
    {
        $act = Act::of(ChangeKind::Handle, "stopped {$run->recordLabel()}", $staff)->about($run->client)->looking($run);
        $this->changes->carryOut($act, function () use ($run, $staff): void {
            if ($run->isOver()) {
                throw new ChangedMeanwhile("It has ended already: {$run->why}.");
            }
            $run->end("by {$staff->name}", $this->clock->now());
        });
    }

    /** The step that somebody waits for, by its key, or the wait before it; where that is gone, the next one after it that is there. */
    private function standOf(FollowUpRun $run, Series $series, bool $orNext): ?Stand
    {
        $steps = $run->series()->steps($run->course);
        for ($i = $run->index; $i < \count($steps); ++$i) {
            $stand = $series->find($steps[$i]->key);
            if (null !== $stand && $stand->course === $run->course) {
                return $stand;
            }
            if (!$orNext) {
                return null;
            }
        }

        return null;
    }

    /**
     * @param array<array-key, mixed> $body
     *
     * @throws InvalidInput
     */
    private static function name(array $body): string
    {
        $name = \is_string($body['name'] ?? null) ? trim($body['name']) : '';

        return '' === $name || mb_strlen($name) > 100 ? throw new InvalidInput('name', 'Give it a name of at most 100 letters.') : $name;
    }

    /**
     * @param list<FollowUp> $there
     *
     * @throws InvalidInput
     */
    private static function refuseSameName(string $name, array $there, ?FollowUp $but): void
    {
        foreach ($there as $one) {
            if ($one !== $but && mb_strtolower($one->name) === mb_strtolower($name)) {
                throw new InvalidInput('name', 'There is a follow-up of that name already.');
            }
        }
    }

    private function act(string $words, Staff $staff, ?FollowUp $one): Act
    {
        $business = $this->business->business();

        return Act::of(ChangeKind::Settings, $words, $staff)->on('business', $one->id ?? $business->id, $one->name ?? $business->name);
    }
}
