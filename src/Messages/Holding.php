<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Psr\Clock\ClockInterface;
use Symfony\Component\Messenger\MessageBusInterface;
use Telamon\Core\Messages\DocumentReader;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Keeps messages back, fills what they lack, lets them go. What has left cannot be held. */
final readonly class Holding
{
    private const LONGEST = 500;

    public function __construct(private Changes $changes, private TemplateWriter $writer, private Lacking $lacking, private MessageBusInterface $bus, private ClockInterface $clock)
    {
    }

    /** @throws Refusal */
    public function hold(Message $message, Staff $staff): void
    {
        $this->carryOut('held', $message, $staff, [MessageState::Queued], static fn () => $message->wait("Held by {$staff->name}."));
    }

    /** @throws Refusal where something is still lacking */
    public function letGo(Message $message, Staff $staff): void
    {
        if ([] !== ($message->lacks['gaps'] ?? [])) {
            throw new InvalidInput('words', 'Say first what stands where nothing can be filled in.');
        }
        $this->carryOut('let go', $message, $staff, [MessageState::Held], fn () => $this->send($message));
    }

    /** @throws Refusal */
    public function cancel(Message $message, Staff $staff): void
    {
        $this->carryOut('cancelled', $message, $staff, [MessageState::Held, MessageState::Queued], static fn () => $message->stop());
    }

    /**
     * @param array<array-key, mixed> $words by field; empty leaves its sentence out
     *
     * @throws Refusal where a field is left that nothing fills
     */
    public function fill(Message $message, array $words, Staff $staff): void
    {
        $given = [];
        foreach ($message->lacks['gaps'] ?? [] as $field) {
            $word = $words[$field] ?? null;
            if (!\is_string($word) || mb_strlen($word) > self::LONGEST) {
                throw new InvalidInput("words.$field", 'Say what stands there, or leave its sentence out.');
            }
            $given[$field] = trim($word);
        }
        $text = $message->lacks['text'] ?? [];
        $line = static fn (string $key): string => \is_string($text[$key] ?? null) ? $text[$key] : '';
        $written = $this->writer->fill(
            new TemplateText($line('name'), $line('subject'), (new DocumentReader())->read($text['document'] ?? ['type' => 'doc']), $line('textMessage')),
            $message->lacks['values'] ?? [],
            $given,
        );
        $this->carryOut('filled in', $message, $staff, [MessageState::Held], function () use ($message, $written): void {
            $message->put($written);
            $lacks = $this->lacking->of($message);
            '' === $lacks ? $this->send($message) : $message->wait($lacks);
        });
    }

    /** @throws NotAllowed */
    private function send(Message $message): void
    {
        if (!$this->lacking->isAllowed($message)) {
            throw new NotAllowed($message);
        }
        $message->letGo($this->clock->now());
        $this->bus->dispatch(new SendMessage($message->id));
    }

    /**
     * @param list<MessageState> $from
     * @param \Closure(): void $do
     */
    private function carryOut(string $words, Message $message, Staff $staff, array $from, \Closure $do): void
    {
        $label = $message->recordLabel();
        $act = Act::of(ChangeKind::Send, "$words $label", $staff)->from($message->submissionId)->about($message)->looking($message);
        $this->changes->carryOut($act, static function () use ($message, $from, $do): void {
            if (!\in_array($message->state, $from, true)) {
                throw new NotWaiting();
            }
            $do();
        });
    }
}
