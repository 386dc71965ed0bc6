<?php

declare(strict_types=1);

namespace Telamon\Rules;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\ChecklistTemplate;
use Telamon\Business\OwnFields;
use Telamon\Business\Profile;
use Telamon\Core\Planning\OfferedService;
use Telamon\Core\Rules\Actions;
use Telamon\Core\Rules\Asked;
use Telamon\Core\Rules\Trigger;
use Telamon\Core\Rules\Triggers;
use Telamon\Core\Rules\Turns;
use Telamon\FollowUps\FollowUps;
use Telamon\Forms\Form;
use Telamon\Messages\MessageTemplate;
use Telamon\Messages\Purpose;
use Telamon\Notices\Rooms;
use Telamon\Staff\Role;
use Telamon\Staff\Staff;

/** Shows handling rules, what they did, and what they may name. */
final readonly class RuleView
{
    public function __construct(
        private EntityManagerInterface $em,
        private Connection $db,
        private Profile $business,
        private OwnFields $fields,
        private AskedFacts $asked,
        private FollowUps $followUps,
        private Rooms $rooms,
    ) {
    }

    /** @return array<string, mixed> as HandlingRule in the contract */
    public function one(HandlingRule $kept): array
    {
        return $this->shown($kept, $this->uses());
    }

    /** @return array<string, mixed> as RuleList in the contract */
    public function all(): array
    {
        $uses = $this->uses();

        return [
            'items' => array_map(
                fn (HandlingRule $kept): array => $this->shown($kept, $uses),
                $this->em->getRepository(HandlingRule::class)->findBy(['retired' => false], ['position' => 'ASC', 'id' => 'ASC']),
            ),
            'offers' => $this->offers(),
        ];
    }

    /** @return array<string, mixed> what rules, and the conditions of checklists, may name */
    public function offers(): array
    {
        $forms = array_values(array_filter($this->em->getRepository(Form::class)->findBy([], ['title' => 'ASC']), static fn (Form $form): bool => null !== $form->published));

        return [
            'staff' => array_map(
                static fn (Staff $member): array => ['value' => $member->id, 'label' => $member->name],
                $this->em->getRepository(Staff::class)->findBy(['active' => true], ['name' => 'ASC']),
            ),
            'roles' => Role::offered(),
            'checklists' => array_map(
                static fn (ChecklistTemplate $list): array => ['value' => $list->id, 'label' => $list->name],
                $this->em->getRepository(ChecklistTemplate::class)->findBy(['isBase' => false, 'retired' => false], ['name' => 'ASC']),
            ),
            'forms' => array_map(static fn (Form $form): array => ['value' => $form->slug, 'label' => $form->title], $forms),
            'questions' => self::questions($forms),
            'templates' => array_values(array_map(
                static fn (MessageTemplate $template): array => ['value' => $template->key, 'label' => $template->name],
                array_filter(
                    $this->em->getRepository(MessageTemplate::class)->findBy(['retired' => false], ['name' => 'ASC']),
                    static fn (MessageTemplate $template): bool => Purpose::Client === $template->purpose(),
                ),
            )),
            'followUps' => array_map(
                static fn (string $key, string $name): array => ['value' => $key, 'label' => $name],
                array_keys($this->followUps->names()),
                $this->followUps->names(),
            ),
            'rooms' => array_map(static fn (string $key, string $name): array => ['value' => $key, 'label' => $name], array_keys($this->rooms->names()), $this->rooms->names()),
            'ofProject' => array_map(
                static fn (string $name, string $words): array => ['value' => $name, 'label' => $words],
                array_keys(MergeFields::OF_PROJECT),
                MergeFields::OF_PROJECT,
            ),
            'fields' => $this->fields(),
            'clientFields' => $this->clientFields(),
            'triggers' => array_map(static fn (Trigger $trigger): array => $trigger->toArray(), Triggers::all()),
            'actions' => Actions::offered(),
            'facts' => array_map(static fn (Asked $asked): array => $asked->toArray(), iterator_to_array($this->asked->asked(), false)),
            'turns' => array_map(static fn (string $how, string $words): array => ['value' => $how, 'label' => $words], array_keys(Turns::WORDS), Turns::WORDS),
            'sources' => $this->business->business()->sources,
            'lostReasons' => $this->business->business()->lostReasons,
            'asideReasons' => $this->business->business()->asideReasons,
            'services' => array_map(static fn (OfferedService $service): array => ['value' => $service->key, 'label' => $service->name], array_values($this->business->services())),
            'stages' => array_map(static fn (string $stage): array => ['value' => $stage, 'label' => $stage], $this->business->stages()),
        ];
    }

    /** @return list<array{record: string, field: string, label: string}> what a rule may set */
    private function fields(): array
    {
        $fields = [
            ['record' => 'client', 'field' => 'organisation', 'label' => 'Client, organisation'], ['record' => 'client', 'field' => 'notes', 'label' => 'Client, notes'],
            ['record' => 'project', 'field' => 'budget', 'label' => 'Project, budget'], ['record' => 'project', 'field' => 'notes', 'label' => 'Project, notes'],
            ['record' => 'asset', 'field' => 'place', 'label' => ucfirst($this->business->business()->assetWord).', where it stands'],
        ];
        foreach ($this->fields->byName() as $own) {
            $fields[] = [
                'record' => $own->record,
                'field' => "custom.{$own->key}",
                'label' => ucfirst('asset' === $own->record ? $this->business->business()->assetWord : $own->record).", {$own->label}",
            ];
        }

        return $fields;
    }

    /** @return list<array{value: string, label: string}> what may change about a client */
    private function clientFields(): array
    {
        $fields = [
            'email' => 'in the mail address',
            'phone' => 'in the phone number',
            'address' => 'in the address',
            'tags' => 'in the tags',
            'owner' => 'in who looks after them',
            'organisation' => 'in organisation',
            'notes' => 'in notes',
        ];
        foreach ($this->fields->byName() as $own) {
            $fields += 'client' === $own->record ? ["custom.{$own->key}" => "in {$own->label}"] : [];
        }

        return array_map(static fn (string $field, string $words): array => ['value' => $field, 'label' => $words], array_keys($fields), $fields);
    }

    /**
     * What the published forms ask, each key once, with the forms that ask it and how each words it.
     *
     * @param list<Form> $forms
     *
     * @return list<array{key: string, wording: string, type: string, options: list<array{value: string, label: string}>, forms: list<string>, wordings: list<string>}>
     */
    private static function questions(array $forms): array
    {
        $questions = [];
        foreach ($forms as $form) {
            foreach ($form->published?->definition()->questions() ?? [] as $question) {
                if ($question->type->asks()) {
                    $questions[$question->key] ??= [
                        'key' => $question->key,
                        'wording' => $question->wording,
                        'type' => $question->type::name(),
                        'options' => [],
                        'forms' => [],
                        'wordings' => [],
                    ];
                    $questions[$question->key]['forms'][] = $form->slug;
                    $questions[$question->key]['wordings'][] = $question->wording;
                    foreach ($question->options as $option) {
                        $questions[$question->key]['options'][$option->value] ??= ['value' => $option->value, 'label' => $option->label];
                    }
                }
            }
        }

        return array_values(array_map(static fn (array $question): array => ['options' => array_values($question['options'])] + $question, $questions));
    }

    /**
     * @param array<string, array{times: int, last: string|null, failures: int}> $uses
     *
     * @return array<string, mixed>
     */
    private function shown(HandlingRule $kept, array $uses): array
    {
        return $kept->toArray() + ($uses[$kept->id] ?? ['times' => 0, 'last' => null, 'failures' => 0]);
    }

    /** @return array<string, array{times: int, last: string|null, failures: int}> how often, when last, by rule; those taken back do not count */
    private function uses(): array
    {
        $uses = [];
        foreach ($this->db->iterateAssociative(
            "SELECT u.rule_id, COUNT(*) AS times, MAX(u.at) AS last, SUM(u.failure <> '') AS failures FROM rule_use u JOIN change_set c ON c.id = u.change_id AND c.undone_at IS NULL GROUP BY u.rule_id",
        ) as $row) {
            if (\is_string($row['rule_id']) && \is_string($row['last'])) {
                $uses[$row['rule_id']] = [
                    'times' => is_numeric($row['times']) ? (int) $row['times'] : 0,
                    'last' => (new \DateTimeImmutable($row['last'], new \DateTimeZone('UTC')))->setTimezone($this->business->zone())->format(\DATE_RFC3339),
                    'failures' => is_numeric($row['failures']) ? (int) $row['failures'] : 0,
                ];
            }
        }

        return $uses;
    }
}
