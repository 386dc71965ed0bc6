<?php

declare(strict_types=1);

namespace Telamon\Messages;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Notifier\Message\SmsMessage;
use Symfony\Component\Notifier\Transport\TransportInterface;
use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Core\Messages\TextLength;
use Telamon\Refusal\InvalidInput;
use Telamon\StandIn\TextFolder;
use Telamon\StandIn\TextId;

/** By a gateway for texts. */
final readonly class TextWay implements Way
{
    public function __construct(#[Autowire(service: 'texter.transports')] private TransportInterface $texter, private TextFolder $texts, private Profile $business, private string $textDsn)
    {
    }

    public static function channel(): Channel
    {
        return Channel::Text;
    }

    public function kind(): ContactKind
    {
        return ContactKind::Phone;
    }

    public function of(Client $client): string
    {
        $number = $client->first(ContactKind::Phone) ?? '';

        return '' === $number ? '' : $this->business->phoneReader()->format($number);
    }

    /** @return string number (E.164) */
    public function address(string $given): string
    {
        return $this->business->phoneReader()->read($given) ?? throw new InvalidInput('to', 'Write the phone number that it goes to.');
    }

    public function refuseLong(string $text): void
    {
        if (TextLength::of($text)->parts > TextLength::MOST_PARTS) {
            throw new InvalidInput('text', 'A text message has at most '.TextLength::MOST_PARTS.' parts. Shorten it, or write a letter.');
        }
    }

    public function carry(Message $message): MessageState
    {
        $this->texter->send(new SmsMessage($message->toAddress, $message->text, options: $this->isStandIn() ? new TextId($message->id) : null));

        return MessageState::Sent;
    }

    public function wasDelivered(Message $message): ?bool
    {
        return $this->isStandIn() ? $this->texts->has($message->id) : null;
    }

    public function kept(Message $message): null
    {
        return null;
    }

    private function isStandIn(): bool
    {
        return str_starts_with($this->textDsn, 'text-folder:');
    }
}
