<?php

declare(strict_types=1);

namespace Telamon\Booking;

use Symfony\Component\Messenger\MessageBusInterface;
use Symfony\Component\Messenger\Stamp\DelayStamp;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Core\Effects\HoldTime;
use Telamon\Core\Plan\Effect;
use Telamon\Database\Ids;
use Telamon\Diary\AppointmentEvent;
use Telamon\Diary\Placing;
use Telamon\Diary\TimeTaken;
use Telamon\Diary\VisitTypes;
use Telamon\Diary\Wanted;
use Telamon\Effects\EffectHandler;
use Telamon\Effects\Making;
use Telamon\Messages\MessageQueue;
use Telamon\Projects\Project;

/**
 * Books the time that a plan names. Whoever was quicker has it: then nothing of the plan is carried out, and looking at
 * it again shows the next one. The client is told once the moment in which undo stops it is over.
 *
 * @implements EffectHandler<HoldTime>
 */
final readonly class HoldTimeHandler implements EffectHandler
{
    public function __construct(private VisitTypes $types, private Placing $placing, private MessageQueue $messages, private MessageBusInterface $bus)
    {
    }

    public static function of(): string
    {
        return HoldTime::class;
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof HoldTime);
        $type = $this->types->live($effect->kind) ?? throw new TimeTaken("{$effect->title} is not offered any more. Look at the plan again.");
        $client = $made->the(Client::class);
        $appointment = $this->placing->place(
            Ids::next(),
            new Wanted($type, $effect->minutes, $effect->address),
            new \DateTimeImmutable($effect->start),
            $client,
            $made->find(Project::class),
            $effect->title,
        );
        $appointment->bookedBy($client->name(), $client->first(ContactKind::Email) ?? '', '', $made->occasion?->id);
        $this->placing->happened($appointment, AppointmentEvent::Booked);
        $this->bus->dispatch(new TellClient($appointment->id), [new DelayStamp(1000 * $this->messages->holdSeconds())]);

        return [$appointment];
    }
}
