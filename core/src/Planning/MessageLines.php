<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Effects\MakeAsset;
use Telamon\Core\Effects\MakeClient;
use Telamon\Core\Effects\OpenProject;
use Telamon\Core\Effects\QueueMessage;
use Telamon\Core\Effects\UseAsset;
use Telamon\Core\Effects\UseClient;
use Telamon\Core\Effects\UseProject;
use Telamon\Core\Form\Destination;
use Telamon\Core\Matching\KnownClient;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Plan\Choice;
use Telamon\Core\Plan\Leads;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Plan\SentBefore;
use Telamon\Core\Plan\Sources;

/** The plan's lines about who is told. What was said before is not said again; what would be said otherwise now is offered. */
final readonly class MessageLines
{
    public const CONFIRMATION = 'confirmation';
    /** To whoever leads a project that opens. */
    public const NOTICE = 'notice';
    /** To whoever leads a project that something is added to. */
    public const ADDED = 'added';
    /** What a rule or a person has somebody told. */
    public const TOLD = 'told';

    /** What a message rests on: when none of these says anything else, neither does it. */
    private const RESTS_ON = [MakeClient::class, UseClient::class, OpenProject::class, UseProject::class, MakeAsset::class, UseAsset::class];

    /**
     * @param list<PlanLine> $before the lines so far
     *
     * @return list<PlanLine> none where nothing is done but filing
     */
    public function lines(PlanContext $now, array $before, ?KnownClient $client): array
    {
        [$lead, $template] = self::lead($now, $before, $client);
        if (null === $lead) {
            return [];
        }
        $lines = [];
        $email = $now->inquiry->readings->for(Destination::ClientEmail);
        // What was booked is confirmed by itself, with the time.
        if (null !== $email && '' !== $email->string() && null === $now->inquiry->booked) {
            $name = $now->inquiry->readings->for(Destination::ClientName)->text ?? '';
            $lines[] = PlanLine::of(
                'message.'.self::CONFIRMATION,
                'Messages',
                QueueMessage::toClient(self::CONFIRMATION, $email->string(), $name),
                $now->telling,
                Sources::of(['to' => $email]),
            )->because('Confirm every inquiry', Leads::text(self::CONFIRMATION));
        }
        $lines[] = PlanLine::of("message.$template", 'Messages', QueueMessage::toStaff($template, $lead), $now->telling)->because('Tell whoever leads', Leads::text($template));

        return $lines;
    }

    /**
     * The lines with what was sent before beside them: the same is not sent again, another is a choice.
     *
     * @param list<PlanLine> $lines all of them, as they will be carried out
     * @param array<string, string> $decisions
     *
     * @return list<PlanLine>
     */
    public function settled(array $lines, PlanContext $now, array $decisions): array
    {
        $says = self::says($lines);

        return array_map(
            static fn (PlanLine $line): PlanLine => $line->effect instanceof QueueMessage ? self::settle($line, $line->effect, $says, $now, $decisions) : $line,
            $lines,
        );
    }

    /** @param array<string, string> $decisions */
    private static function settle(PlanLine $line, QueueMessage $effect, string $says, PlanContext $now, array $decisions): PlanLine
    {
        $effect = $effect->saying($says);
        $before = array_values(array_filter($now->onFile->sent, static fn (SentBefore $sent): bool => $sent->template === $effect->template && $sent->to === $effect->to));
        $line = $line->doing($effect);
        if ([] === $before) {
            return $line;
        }
        $to = Part::value($effect->to);
        $day = $now->telling->day($before[0]->day);
        if ([] !== array_filter($before, static fn (SentBefore $sent): bool => $sent->says === $says)) {
            return PlanLine::telling($line->key, $line->group, 'Already sent to ', $to, " on $day, not sent again")->because('Nothing goes out twice');
        }
        $choice = new Choice(
            "{$line->key}.again",
            $decisions["{$line->key}.again"] ?? null,
            [['value' => 'send', 'hotkey' => '1', 'label' => 'Send it corrected'], ['value' => 'leave', 'hotkey' => '2', 'label' => 'Do not send']],
        );

        return match ($choice->chosen) {
            'send' => $line->noting("corrects what was sent on $day")->because('your choice')->offering($choice),
            'leave' => PlanLine::telling($line->key, $line->group, 'Already sent to ', $to, " on $day; the correction is not sent")->because('your choice')->offering($choice),
            default => PlanLine::telling(
                $line->key,
                $line->group,
                'What was sent to ',
                $to,
                " on $day said something else. Send it corrected?",
            )->because('Nothing goes out twice')->offering($choice),
        };
    }

    /**
     * What the messages of a plan rest on, as one text: the same says the same.
     *
     * @param list<PlanLine> $lines
     */
    private static function says(array $lines): string
    {
        $values = [];
        foreach ($lines as $line) {
            if (null !== $line->effect && \in_array($line->effect::class, self::RESTS_ON, true)) {
                $values[] = [$line->effect::name(), get_object_vars($line->effect)];
            }
        }

        return substr(hash('sha256', json_encode($values, \JSON_THROW_ON_ERROR | \JSON_INVALID_UTF8_SUBSTITUTE)), 0, 32);
    }

    /**
     * Whoever leads the project that comes of it, and what they are told.
     *
     * @param list<PlanLine> $before
     *
     * @return array{StaffMember|null, string}
     */
    private static function lead(PlanContext $now, array $before, ?KnownClient $client): array
    {
        foreach ($before as $line) {
            if ($line->effect instanceof OpenProject) {
                return [self::staff($now, $line->effect->lead), self::NOTICE];
            }
            if ($line->effect instanceof UseProject) {
                $leads = array_column($now->openProjects($client), 'lead', 'id');

                return [self::staff($now, $leads[$line->effect->id] ?? ''), self::ADDED];
            }
        }

        return [null, ''];
    }

    private static function staff(PlanContext $now, string $id): StaffMember
    {
        return $now->staff($id) ?? $now->ruling->outcome->lead() ?? $now->desk->coordinator;
    }
}
