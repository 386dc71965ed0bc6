<?php

declare(strict_types=1);

namespace Telamon\Setup;

use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Telamon\Core\FollowUps\StepKind;
use Telamon\FollowUps\NameInFollowUps;
use Telamon\Record\Edit;
use Telamon\Record\HoldsTags;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Rules\NameInRules;
use Telamon\Staff\Staff;

/** Tags renamed and removed wherever they stand: on clients, on projects and in rules, as one change. */
final readonly class TagChanges
{
    /** Each is journaled, so that one undo brings all back. */
    private const MOST = 5000;

    /** @param iterable<HoldsTags> $rooms */
    public function __construct(
        #[AutowireIterator('telamon.holds_tags')] private iterable $rooms,
        private SetupActs $acts,
        private NameInRules $rules,
        private NameInFollowUps $followUps,
    ) {
    }

    /** @return list<array{tag: string, clients: int, projects: int}> every tag there is, by the alphabet */
    public function all(): array
    {
        $counts = [];
        foreach ($this->rooms as $room) {
            foreach ($room->counts() as $tag => $count) {
                $counts[$tag][$room->what()] = $count;
            }
        }
        $tags = array_map(strval(...), array_keys($counts));
        sort($tags, \SORT_NATURAL | \SORT_FLAG_CASE);

        return array_map(static fn (string $tag): array => ['tag' => $tag, 'clients' => $counts[$tag]['clients'] ?? 0, 'projects' => $counts[$tag]['projects'] ?? 0], $tags);
    }

    /** @throws Refusal */
    public function rename(Edit $edit, Staff $staff): void
    {
        $tag = $edit->text('tag', 60) ?? '';
        $to = $edit->text('to', 60) ?? '';
        if ('' === $to) {
            throw new InvalidInput('to', 'Write what it is to be called.');
        }
        $this->replace($tag, $to, "renamed the tag $tag to $to", $staff);
    }

    /** @throws Refusal */
    public function remove(string $tag, Staff $staff): void
    {
        $this->replace($tag, null, "removed the tag $tag", $staff);
    }

    private function replace(string $tag, ?string $to, string $words, Staff $staff): void
    {
        $this->acts->carryOut($words, $staff, function () use ($tag, $to): void {
            if (null === $to) {
                $this->refuseGiven($tag);
            }
            $having = [];
            foreach ($this->rooms as $room) {
                array_push($having, ...$room->with($tag, self::MOST + 1));
            }
            if ([] === $having) {
                throw new InvalidInput('tag', 'Nobody and nothing has this tag any more.');
            }
            if (\count($having) > self::MOST) {
                throw new InvalidInput('tag', 'More than '.number_format(self::MOST).' have it: too many to change at once.');
            }
            foreach ($having as $record) {
                // Where both stood, one stays.
                $record->retag(array_values(array_unique(array_filter(
                    array_map(static fn (string $one): ?string => $one === $tag ? $to : $one, $record->tags()),
                    static fn (?string $one): bool => null !== $one,
                ))));
            }
            if (null !== $to) {
                $this->rules->renameTag($tag, $to);
                $this->followUps->rename(StepKind::Tag, $tag, $to);
            }
        });
    }

    private function refuseGiven(string $tag): void
    {
        foreach (['rule' => $this->rules->givingTag($tag), 'follow-up' => $this->followUps->givingTag($tag)] as $what => $giving) {
            if ([] !== $giving) {
                throw new InvalidInput('tag', "The $what “{$giving[0]}” gives it. Change the $what first.");
            }
        }
    }
}
