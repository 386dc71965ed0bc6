<?php

declare(strict_types=1);

namespace Telamon\Core\Tests;

use Telamon\Core\Answers\SubmissionReader;
use Telamon\Core\Checklists\Checklist;
use Telamon\Core\Checklists\ChecklistItem;
use Telamon\Core\Checklists\Doer;
use Telamon\Core\Checklists\Due;
use Telamon\Core\Checklists\DueFrom;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\Purpose;
use Telamon\Core\Form\Readers;
use Telamon\Core\Form\Readings;
use Telamon\Core\Matching\BlockingKeys;
use Telamon\Core\Matching\Candidate;
use Telamon\Core\Matching\ClientMatcher;
use Telamon\Core\Matching\KnownClient;
use Telamon\Core\Matching\PersonReader;
use Telamon\Core\Matching\ShortForms;
use Telamon\Core\People\StaffMember;
use Telamon\Core\Plan\Effect;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Plan\SentBefore;
use Telamon\Core\Planning\Amendments;
use Telamon\Core\Planning\ClientLines;
use Telamon\Core\Planning\Inquiry;
use Telamon\Core\Planning\MessageLines;
use Telamon\Core\Planning\Naming;
use Telamon\Core\Planning\OfferedService;
use Telamon\Core\Planning\OnFile;
use Telamon\Core\Planning\PlanContext;
use Telamon\Core\Planning\Planner;
use Telamon\Core\Planning\ProjectLines;
use Telamon\Core\Planning\Ruling;
use Telamon\Core\Planning\Workplace;
use Telamon\Core\Reading\AddressReader;
use Telamon\Core\Reading\EmailReader;
use Telamon\Core\Reading\NameReader;
use Telamon\Core\Reading\PhoneReader;
use Telamon\Core\Time\AnsweredDays;
use Telamon\Core\Time\WorkingDays;

/** A small workshop to plan with. */
final class Fixtures
{
    /** A value of an effect, by its name; null where there is none. */
    public static function value(?Effect $effect, string $name): mixed
    {
        return null === $effect ? null : get_object_vars($effect)[$name] ?? throw new \LogicException("{$effect::name()} has no $name");
    }

    /** The same, of one that is a text. */
    public static function text(?Effect $effect, string $name): string
    {
        $value = self::value($effect, $name);

        return \is_string($value) ? $value : '';
    }

    public static function name(?Effect $effect): ?string
    {
        return null === $effect ? null : $effect::name();
    }

    public static function form(string $dayOrder = 'unstated'): FormDefinition
    {
        return FormDefinition::fromArray(['title' => 'Inquiry', 'dayOrder' => $dayOrder, 'pages' => [['key' => 'one', 'questions' => [
            ['key' => 'name', 'type' => 'person-name', 'wording' => 'Your name', 'required' => true, 'destination' => 'client.name'],
            ['key' => 'email', 'type' => 'email', 'wording' => 'Email', 'required' => true, 'destination' => 'client.email'],
            ['key' => 'phone', 'type' => 'phone', 'wording' => 'Phone', 'destination' => 'client.phone'],
            [
                'key' => 'service',
                'type' => 'one-of',
                'wording' => 'What should we do?',
                'destination' => 'project.service',
                'options' => [['value' => 'repair', 'label' => 'Repair it'], ['value' => 'other', 'label' => 'Something else']],
            ],
            ['key' => 'piano', 'type' => 'short-text', 'wording' => 'Which piano?', 'destination' => 'asset.description'],
            ['key' => 'place', 'type' => 'address', 'wording' => 'Where is it?', 'destination' => 'asset.place'],
            ['key' => 'wanted_by', 'type' => 'day', 'wording' => 'By when?', 'destination' => 'project.ready_by'],
            ['key' => 'matter', 'type' => 'long-text', 'wording' => 'What is the matter?', 'destination' => 'project.notes'],
            ['key' => 'found_us', 'type' => 'short-text', 'wording' => 'How did you find us?'],
            ['key' => 'photos', 'type' => 'files', 'wording' => 'Photographs', 'destination' => 'files'],
        ]]]]);
    }

    /** @return array<string, mixed> */
    public static function answers(): array
    {
        return [
            'name' => 'Orla Fennick', 'email' => 'orla@example.com', 'phone' => '020 914 3327', 'service' => 'repair',
            'piano' => 'Pell & Thrane upright', 'place' => '7 Weir Cottages, Marrowby', 'matter' => 'Keys stick.',
        ];
    }

    /**
     * @param array<string, mixed> $answers over the plain ones; null leaves one out
     * @param list<KnownClient> $candidates each taken for the same person where it agrees so far
     * @param list<SentBefore> $sent
     */
    public static function input(array $answers = [], array $candidates = [], array $sent = [], string $dayOrder = 'unstated', Purpose $purpose = Purpose::Open): PlanContext
    {
        $sorcha = new StaffMember('s1', 'Sorcha Vell', 'sorcha@marrowby.example');
        $answers = array_filter($answers + self::answers(), static fn (mixed $answer): bool => null !== $answer);

        $desk = new Workplace(
            ['repair' => new OfferedService(
                'repair',
                'Repair',
                $sorcha,
                'Repairs go to Sorcha',
                new Checklist(
                    'repair',
                    'Repair',
                    [new ChecklistItem('parts', 'Order the parts', Doer::lead(), 1, new Due(DueFrom::ReadyBy, -2), ['onboarding/talk'])],
                    'onboarding/talk',
                ),
            )],
            new StaffMember('s2', 'Nessa Quarle', 'nessa@marrowby.example'),
            new Checklist(
                'onboarding',
                'Onboarding',
                [
                    new ChecklistItem('talk', 'First talk', Doer::coordinator(), 1, new Due(DueFrom::Accepted, 1)),
                    new ChecklistItem('deposit', 'Ask for the deposit', Doer::coordinator(), 1, new Due(DueFrom::Accepted, 5), ['talk']),
                ],
            ),
            new WorkingDays([1, 2, 3, 4, 5], []),
            ['confirmation' => 'We have your inquiry', 'notice' => 'New project'],
            new Naming('piano'),
            new PhoneReader('IE'),
        );
        $readings = self::reader()->read(self::form($dayOrder), $answers);

        return new PlanContext(
            new Inquiry($readings, $purpose),
            new OnFile(self::candidates($readings, $candidates), $sent),
            $desk,
            new \DateTimeImmutable('2026-11-25 10:42', new \DateTimeZone('Europe/Dublin')),
        );
    }

    /**
     * @param list<array{id: string, description: string}> $assets
     * @param list<array{id: string, number: string, title: string, lead: string, opened: string}> $open projects
     */
    public static function known(
        string $id = 'c1',
        string $name = 'Orla Fennick',
        array $assets = [],
        string $phone = '+353209143327',
        string $address = '7 Weir Cottages, Marrowby',
        array $open = [],
    ): KnownClient {
        return new KnownClient($id, $name, 2023, ['orla@example.com'], [$phone], $address, $assets, [], explode(' ', $name, 2)[0], explode(' ', $name, 2)[1] ?? '', $open);
    }

    public static function reader(): SubmissionReader
    {
        return new SubmissionReader(new Readers(new EmailReader(), new PhoneReader('IE'), new AnsweredDays()));
    }

    /**
     * @param list<KnownClient> $clients
     *
     * @return list<Candidate>
     */
    public static function candidates(Readings $readings, array $clients): array
    {
        return self::matcher()->candidates($readings, new ListedClients($clients));
    }

    public static function people(): PersonReader
    {
        return new PersonReader(new NameReader(), new AddressReader());
    }

    public static function matcher(): ClientMatcher
    {
        return new ClientMatcher(self::people(), new BlockingKeys(new ShortForms()), new PhoneReader('IE'));
    }

    public static function planner(): Planner
    {
        return new Planner(new ClientLines(self::matcher(), new NameReader()), new ProjectLines(), new MessageLines());
    }

    /** The same, with rules, or with another way of calling things. */
    public static function context(
        PlanContext $now,
        ?Ruling $ruling = null,
        ?Naming $naming = null,
        ?Amendments $amendments = null,
        ?OnFile $onFile = null,
        ?Inquiry $inquiry = null,
    ): PlanContext {
        $desk = null === $naming
            ? $now->desk
            : new Workplace($now->desk->services, $now->desk->coordinator, $now->desk->baseChecklist, $now->desk->calendar, $now->desk->templates, $naming, $now->desk->phones);

        return new PlanContext($inquiry ?? $now->inquiry, $onFile ?? $now->onFile, $desk, $now->today, $ruling ?? $now->ruling, $amendments ?? $now->amendments);
    }

    public static function words(PlanLine $line): string
    {
        return implode('', array_map(static fn (Part $part): string => $part->text, $line->said->parts));
    }
}
