<?php

declare(strict_types=1);

namespace Telamon\Core\Rules;

use Telamon\Core\Rules\Actions\BeginFollowUp;
use Telamon\Core\Rules\Actions\GiveTask;
use Telamon\Core\Rules\Actions\HoldNearest;
use Telamon\Core\Rules\Actions\LetChoose;
use Telamon\Core\Rules\Actions\LetFillIn;
use Telamon\Core\Rules\Actions\LetSign;
use Telamon\Core\Rules\Actions\NoteWish;
use Telamon\Core\Rules\Actions\SendMessage;
use Telamon\Core\Rules\Actions\SetLead;
use Telamon\Core\Rules\Actions\SetOwner;
use Telamon\Core\Rules\Actions\SetStage;
use Telamon\Core\Rules\Actions\StartClock;
use Telamon\Core\Rules\Actions\TagRecord;
use Telamon\Core\Rules\Actions\TellRoom;
use Telamon\Core\Rules\Actions\TellSomebody;
use Telamon\Core\Rules\Actions\UseChecklist;
use Telamon\Core\Rules\Actions\WriteField;
use Telamon\Core\Rules\Actions\WriteNote;
use Telamon\Core\Rules\Actions\WriteQuote;

/** All that rules may do. */
final class Actions
{
    /** @var list<class-string<RuleAction>> */
    public const ALL = [
        SetLead::class, UseChecklist::class, GiveTask::class, TagRecord::class, SetStage::class, WriteNote::class,
        TellSomebody::class, SetOwner::class, WriteField::class, NoteWish::class, SendMessage::class, StartClock::class, LetChoose::class,
        HoldNearest::class, WriteQuote::class, LetSign::class, LetFillIn::class, BeginFollowUp::class, TellRoom::class,
    ];

    /** @return list<array<string, mixed>> each as RuleActionKind in api/openapi.yaml */
    public static function offered(): array
    {
        return array_map(
            static fn (string $action): array => [
                'value' => $action::name(),
                'label' => $action::phrase(),
                'fields' => array_map(static fn (RuleField $field): array => $field->toArray(), $action::fields()),
            ],
            self::ALL,
        );
    }

    /**
     * @param array<array-key, mixed> $row as stored
     * @param string $path where it stands
     *
     * @throws InvalidRule
     */
    public static function read(array $row, string $path): RuleAction
    {
        foreach (self::ALL as $action) {
            if ($action::name() === ($row['kind'] ?? null)) {
                return $action::read(new ActionText($row, $path));
            }
        }
        throw new InvalidRule($path, 'Choose what it does.');
    }
}
