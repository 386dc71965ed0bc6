<?php

declare(strict_types=1);

namespace Telamon\Arrivals;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Clients\Client;
use Telamon\Core\Planning\Plan;
use Telamon\Forms\Form;
use Telamon\Forms\FormVersion;
use Telamon\Forms\PublishedForms;
use Telamon\Forms\Taken;
use Telamon\Http\JsonBody;
use Telamon\Planning\Decisions;
use Telamon\Planning\PlanMaker;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\NotThere;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;
use Telamon\Submissions\Arriving;
use Telamon\Submissions\Receiver;
use Telamon\Submissions\Submission;

/** Writes down inquiries that came by phone, at the desk or by mail: submissions like any other, with whom they are from where that is known. */
final readonly class WritingDown
{
    private const CHANNELS = ['phone', 'desk', 'mail'];

    public function __construct(
        private EntityManagerInterface $em,
        private PublishedForms $forms,
        private Taken $taken,
        private Receiver $receiver,
        private PlanMaker $plans,
        private Decisions $decisions,
    ) {
    }

    /** @return list<Form> those that have been published, open or closed, the most used first */
    public function forms(): array
    {
        $taken = $this->taken->byForm();
        $forms = array_values(array_filter($this->em->getRepository(Form::class)->findBy([], ['title' => 'ASC']), static fn (Form $form): bool => null !== $form->published));
        usort($forms, static fn (Form $a, Form $b): int => ($taken[$b->id] ?? 0) <=> ($taken[$a->id] ?? 0));

        return $forms;
    }

    /** @throws NotThere */
    public function version(string $slug): FormVersion
    {
        return $this->forms->find($slug)->published ?? throw new NotThere('form');
    }

    /** @throws NotThere */
    public function client(?string $id): ?Client
    {
        $client = null === $id || '' === $id ? null : $this->em->find(Client::class, $id) ?? throw new NotThere('client');

        return $client->mergedInto ?? $client;
    }

    /**
     * @param array<array-key, mixed> $body as InquiryEdit in the contract
     *
     * @return Plan as far as it is written down
     *
     * @throws Refusal
     */
    public function try(array $body): Plan
    {
        $version = $this->version(JsonBody::text($body, 'form', 100));

        return $this->plans->dryRun(
            $version->definition(),
            self::answers($body, 'answers'),
            $version->form->slug,
            self::answers($body, 'sent'),
            null,
            self::channel($body),
            $this->clientOf($body)->id ?? '',
        );
    }

    /**
     * @param array<array-key, mixed> $body as InquiryEdit in the contract
     * @param string|null $key the same again gives the same submission
     *
     * @throws Refusal
     */
    public function save(array $body, ?string $key, Staff $staff): Submission
    {
        $version = $this->version(JsonBody::text($body, 'form', 100));
        $client = $this->clientOf($body);
        $submission = $this->receiver->receive($version, self::answers($body, 'answers'), new Arriving(
            self::channel($body),
            $key,
            sent: self::named(self::answers($body, 'sent')),
            by: $staff,
            answered: true === ($body['answered'] ?? null),
        ));
        if (null !== $client && 0 === $this->decisions->of($submission->id)->version) {
            $this->decisions->keep($submission, ['version' => 0, 'choices' => ['client' => $client->id]], $staff, $this->plans->check(...));
        }

        return $submission;
    }

    /** @param array<array-key, mixed> $body */
    private function clientOf(array $body): ?Client
    {
        return $this->client(null === ($body['client'] ?? null) ? null : JsonBody::text($body, 'client', 36));
    }

    /** @param array<array-key, mixed> $body */
    private static function channel(array $body): string
    {
        $channel = JsonBody::text($body, 'channel', 10);

        return \in_array($channel, self::CHANNELS, true) ? $channel : throw new InvalidInput('channel', 'Say whether it came by phone, at the desk or by mail.');
    }

    /**
     * @param array<array-key, mixed> $body
     *
     * @return array<array-key, mixed>
     */
    private static function answers(array $body, string $field): array
    {
        $answers = $body[$field] ?? [];

        return \is_array($answers) ? $answers : throw new InvalidInput($field, 'Send the answers by question key.');
    }

    /**
     * @param array<array-key, mixed> $answers
     *
     * @return array<string, mixed>
     */
    private static function named(array $answers): array
    {
        $named = [];
        foreach ($answers as $key => $answer) {
            $named[(string) $key] = $answer;
        }

        return $named;
    }
}
