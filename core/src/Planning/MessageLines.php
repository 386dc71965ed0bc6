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
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Plan\SentBefore;
use Telamon\Core\Time\DayWords;

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
    public function lines(PlanInput $input, array $before, ?KnownClient $client): array
    {
        [$lead, $template] = self::lead($input, $before, $client);
        if (null === $lead) {
            return [];
        }
        $lines = [];
        $email = $input->readings->for(Destination::ClientEmail);
        if (null !== $email && '' !== $email->string()) {
            $name = $input->readings->for(Destination::ClientName)->text ?? '';
            $lines[] = self::line($input, self::CONFIRMATION, 'Send “'.($input->templates[self::CONFIRMATION] ?? '').'” to ', $email->string(), $name, $email->question->number, 'Confirm every inquiry');
        }
        $lines[] = self::line($input, $template, 'Tell '.$lead->name.' at ', $lead->email, $lead->name, null, 'Tell whoever leads');

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
    public function settled(array $lines, PlanInput $input, array $decisions): array
    {
        $says = self::says($lines);

        return array_map(static fn (PlanLine $line): PlanLine => $line->effect instanceof QueueMessage ? self::settle($line, $line->effect, $says, $input, $decisions) : $line, $lines);
    }

    /** @param array<string, string> $decisions */
    private static function settle(PlanLine $line, QueueMessage $effect, string $says, PlanInput $input, array $decisions): PlanLine
    {
        $effect = $effect->saying($says);
        $before = array_values(array_filter($input->alreadySent, static fn (SentBefore $sent): bool => $sent->template === $effect->template && $sent->to === $effect->to));
        $line = $line->doing($effect, $line->note);
        if ([] === $before) {
            return $line;
        }
        $to = Part::value($effect->to);
        $day = DayWords::short(new \DateTimeImmutable($before[0]->day), $input->today);
        if ([] !== array_filter($before, static fn (SentBefore $sent): bool => $sent->says === $says)) {
            return new PlanLine($line->key, $line->group, [Part::words('Already sent to '), $to, Part::words(" on $day, not sent again")], null, '', 'Nothing goes out twice');
        }
        $choice = new Choice("{$line->key}.again", $decisions["{$line->key}.again"] ?? null, [['value' => 'send', 'hotkey' => '1', 'label' => 'Send it corrected'], ['value' => 'leave', 'hotkey' => '2', 'label' => 'Do not send']]);

        return match ($choice->chosen) {
            'send' => new PlanLine($line->key, $line->group, $line->parts, $effect, "corrects what was sent on $day", 'your choice', $choice),
            'leave' => new PlanLine($line->key, $line->group, [Part::words('Already sent to '), $to, Part::words(" on $day; the correction is not sent")], null, '', 'your choice', $choice),
            default => new PlanLine($line->key, $line->group, [Part::words('What was sent to '), $to, Part::words(" on $day said something else. Send it corrected?")], null, '', 'Nothing goes out twice', $choice),
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
    private static function lead(PlanInput $input, array $before, ?KnownClient $client): array
    {
        foreach ($before as $line) {
            if ($line->effect instanceof OpenProject) {
                return [self::staff($input, $line->effect->lead), self::NOTICE];
            }
            if ($line->effect instanceof UseProject) {
                $leads = array_column($client->openProjects ?? [], 'lead', 'id');

                return [self::staff($input, $leads[$line->effect->id] ?? ''), self::ADDED];
            }
        }

        return [null, ''];
    }

    private static function staff(PlanInput $input, string $id): StaffMember
    {
        foreach ([...array_values($input->book->staff), ...array_map(static fn (ServiceFacts $service): StaffMember => $service->lead, array_values($input->services))] as $one) {
            if ($one->id === $id) {
                return $one;
            }
        }

        return $input->outcome->lead() ?? $input->coordinator;
    }

    private static function line(PlanInput $input, string $template, string $words, string $to, string $name, ?int $answer, string $reason): PlanLine
    {
        return new PlanLine("message.$template", 'Messages', [Part::words($words), Part::value($to, $answer)], new QueueMessage($template, $to, $name), '', $reason);
    }
}
