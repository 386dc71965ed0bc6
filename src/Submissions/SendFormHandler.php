<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Psr\Clock\ClockInterface;
use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Clients\ContactKind;
use Telamon\Core\Effects\SendForm;
use Telamon\Core\Plan\Effect;
use Telamon\Effects\Making;
use Telamon\Effects\MayComeToNothing;
use Telamon\Forms\PublishedForms;
use Telamon\Messages\MessageQueue;
use Telamon\Projects\Project;

/**
 * Mails the client a link to a form.
 *
 * @implements MayComeToNothing<SendForm>
 */
final readonly class SendFormHandler implements MayComeToNothing
{
    private const TEMPLATE = 'fill-in';

    public function __construct(private PublishedForms $forms, private FormLinks $links, private MessageQueue $messages, private Profile $business, private ClockInterface $clock)
    {
    }

    public static function of(): string
    {
        return SendForm::class;
    }

    public function against(Effect $effect, Making $made): string
    {
        \assert($effect instanceof SendForm);
        $form = $this->forms->find($effect->form);

        return match (true) {
            null === $form || !$this->forms->isOpen($form, $this->clock->now()) => 'no form sent, as it is closed',
            '' === ($made->find(Client::class)?->first(ContactKind::Email) ?? '') => 'no form sent, as there is no mail address',
            default => '',
        };
    }

    public function write(Effect $effect, Making $made): array
    {
        \assert($effect instanceof SendForm);
        $form = $this->forms->find($effect->form);
        if (null === $form) {
            return [];
        }
        $client = $made->the(Client::class);

        return [$this->messages->queue(
            self::TEMPLATE,
            $client->first(ContactKind::Email) ?? '',
            $client->name(),
            [
                'first_name' => $client->givenName,
                'form' => $form->published?->definition()->title ?? $form->title,
                'link' => $this->links->address($form, $client),
                'coordinator' => $this->business->coordinator()->name,
            ],
            $client,
            $made->find(Project::class),
            null,
            held: true,
        )];
    }
}
