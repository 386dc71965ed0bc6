import { useState } from 'react';
import { count } from '../../shared/numbers';
import { FactList, type Fact } from '../shell/FactList';
import { useToast } from '../shell/Toast';
import { AddPane } from './AddPane';
import { useAddService, useAddStage, useChangeService, useChangeStage, useRemoveStage, type Setup } from './queries';
import { firstName } from '../../shared/firstName';

type Service = Setup['services'][number];
type Stage = Setup['stages'][number];
type ServiceEdit = Omit<Parameters<ReturnType<typeof useChangeService>['mutateAsync']>[0], 'id'>;
type StageEdit = Omit<Parameters<ReturnType<typeof useChangeStage>['mutateAsync']>[0], 'id'>;

const people = (setup: Setup) =>
  setup.staff.filter((one) => one.active).map((one) => ({ value: one.id, label: one.name }));
const lists = (setup: Setup) => [{ value: '', label: 'only the usual one' }, ...setup.checklists];
const ends = [
  { value: 'open', label: 'open' },
  { value: 'won', label: 'closed, won' },
  { value: 'lost', label: 'closed, lost' },
];

const leadWays: Record<Service['led'], string> = {
  named: 'the person who is named',
  turns: 'those who take turns, one after the other',
  fewest: 'whoever of them leads fewest',
};

function ledBy(service: Service, setup: Setup): string {
  const names = service.among.map((id) => firstName(setup.staff.find((one) => one.id === id)?.name ?? '')).join(', ');
  return { named: service.lead, turns: `by turns, ${names}`, fewest: `whoever leads fewest of ${names}` }[service.led];
}

export function NewService({ setup, onDone }: { setup: Setup; onDone: () => void }) {
  const add = useAddService();
  const toast = useToast();
  return (
    <AddPane
      name="new-service"
      title="Add service"
      saveWord="Add"
      saving={add}
      onDone={onDone}
      onSave={async ({ name = '', lead = '', checklist = '' }) => {
        await add.mutateAsync({ name, lead, checklist });
        toast({ words: `${name} added. U takes it back.` });
      }}
      fields={[
        { key: 'name', label: 'Name', value: '' },
        { key: 'lead', label: 'Led by', value: setup.staff.find((one) => one.you)?.id ?? '', options: people(setup) },
        { key: 'checklist', label: 'Checklist that joins', value: '', options: lists(setup) },
      ]}
    >
      <p className="second">
        A question of a form offers it once its choice is called the same; plans know it from then on.
      </p>
    </AddPane>
  );
}

export function ServicePane({ service, setup }: { service: Service; setup: Setup }) {
  const edit = useChangeService();
  const toast = useToast();
  const facts: Fact<ServiceEdit>[] = [
    {
      key: 'name',
      label: 'Name',
      shown: service.name,
      fields: [{ key: 'name', label: 'Name', value: service.name }],
      edit: ({ name = '' }) => ({ name }),
    },
    {
      key: 'lead',
      label: 'Led by',
      shown: ledBy(service, setup),
      fields: [
        {
          key: 'led',
          label: 'A new project goes to',
          value: service.led,
          options: Object.entries(leadWays).map(([value, label]) => ({ value, label })),
          hint: 'From the next plan on; open projects stay where they are. Rules go first.',
        },
        { key: 'lead', label: 'Named', value: service.leadId, options: people(setup) },
        {
          key: 'among',
          label: 'Who takes turns',
          value: service.among.join(','),
          several: true,
          options: people(setup),
          hint: 'Whoever is away gets no turn.',
        },
      ],
      edit: ({ lead = '', led = 'named', among = '' }) => ({
        lead,
        led: led as Service['led'],
        among: among.split(',').filter(Boolean),
      }),
    },
    {
      key: 'words',
      label: 'Words',
      shown: service.words,
      fields: [
        {
          key: 'words',
          label: 'What clients are told of it',
          value: service.words,
          kind: 'long',
          hint: 'Mails say it where their text names {{service_words}}.',
        },
      ],
      edit: ({ words = '' }) => ({ words }),
    },
    {
      key: 'promise',
      label: 'Promise',
      shown: service.promise === null ? 'as the form promises' : `answer in ${count(service.promise, 'working hour')}`,
      fields: [
        {
          key: 'promise',
          label: 'Answer within so many working hours',
          value: service.promise === null ? '' : String(service.promise),
          hint: 'For inquiries that name this service, from now on. Empty for what the form promises.',
        },
      ],
      edit: ({ promise = '' }) => ({ promise }),
    },
    {
      key: 'care',
      label: 'Then',
      shown: service.careTask && `${service.careTask}, ${careWords(service)}`,
      fields: [
        {
          key: 'careTask',
          label: 'What is to be done once it is done',
          value: service.careTask,
          hint: 'A task in its time; stopped when the client has come again by then. Empty for nothing.',
        },
        { key: 'careMonths', label: 'After so many months', value: numberOf(service.careMonths) },
        { key: 'careWeek', label: 'In this week of the year', value: numberOf(service.careWeek), hint: '1 to 53.' },
      ],
      edit: ({ careTask = '', careMonths = '', careWeek = '' }) => ({ careTask, careMonths, careWeek }),
    },
    {
      key: 'checklist',
      label: 'Checklist',
      shown: service.checklist ?? 'only the usual one',
      fields: [
        { key: 'checklist', label: 'Checklist that joins', value: service.checklistId ?? '', options: lists(setup) },
      ],
      edit: ({ checklist = '' }) => ({ checklist }),
    },
  ];
  return (
    <>
      <FactList
        name={`setup.service.${service.id}`}
        title={service.name}
        canEdit
        facts={facts}
        saving={edit}
        save={(part) => edit.mutateAsync({ id: service.id, ...part })}
      />
      <div className="setup-does">
        <button
          type="button"
          className="link-button"
          disabled={edit.isPending}
          onClick={() =>
            edit.mutate(
              { id: service.id, retired: !service.retired },
              {
                onSuccess: () =>
                  toast({
                    words: `${service.name} ${service.retired ? 'is offered again' : 'retired'}. U takes it back.`,
                  }),
                onError: (error) =>
                  toast({
                    words: error.message,
                    action: {
                      label: 'Retire it anyway',
                      shown: '',
                      act: () => edit.mutate({ id: service.id, retired: true, anyway: true }),
                    },
                  }),
              },
            )
          }
        >
          {service.retired ? 'Offer it again' : 'Retire'}
        </button>
      </div>
      <p className="second">
        {service.retired
          ? 'Plans no longer know it: an answer that names it stays with the coordinator.'
          : 'Retired, it is no longer planned for; projects that were opened for it stay.'}{' '}
        Answers name it “{service.key}”.
      </p>
    </>
  );
}

export function NewStage({ onDone }: { onDone: () => void }) {
  const add = useAddStage();
  const toast = useToast();
  return (
    <AddPane
      name="new-stage"
      title="Add stage"
      saveWord="Add"
      saving={add}
      onDone={onDone}
      onSave={async ({ name = '', end = 'open', days = '' }) => {
        await add.mutateAsync({ name, ends: end as Stage['ends'], days });
        toast({ words: `${name} added. U takes it back.` });
      }}
      fields={[
        { key: 'name', label: 'Name', value: '' },
        { key: 'end', label: 'A project in it is', value: 'open', options: ends },
        { key: 'days', label: 'Move on within so many days', value: '', hint: 'Empty for no promise.' },
      ]}
    />
  );
}

export function StagePane({ stage, setup }: { stage: Stage; setup: Setup }) {
  const edit = useChangeStage();
  const remove = useRemoveStage();
  const toast = useToast();
  const [goes, setGoes] = useState(false);
  const others = setup.stages.filter((one) => one.id !== stage.id);
  const hangs = stage.projects === 0 ? 'No project stands in it.' : `${stage.projects} projects stand in it.`;
  const facts: Fact<StageEdit>[] = [
    {
      key: 'name',
      label: 'Name',
      shown: stage.name,
      fields: [
        {
          key: 'name',
          label: 'Name',
          value: stage.name,
          hint: 'Projects and rules that name it follow by themselves.',
        },
      ],
      edit: ({ name = '' }) => ({ name }),
    },
    {
      key: 'place',
      label: 'Place',
      shown: `${stage.position} of ${setup.stages.length}`,
      fields: [
        {
          key: 'place',
          label: 'Place in the course',
          value: String(setup.stages.indexOf(stage) + 1),
          options: setup.stages.map((one, i) => ({
            value: String(i + 1),
            label: one.id === stage.id ? `${i + 1}, as now` : `${i + 1}, where ${one.name} is`,
          })),
        },
      ],
      edit: ({ place = '' }) => ({ position: Number(place) }),
    },
    {
      key: 'ends',
      label: 'Means',
      shown: ends.find(({ value }) => value === stage.ends)?.label ?? '',
      fields: [
        {
          key: 'ends',
          label: 'A project in it is',
          value: stage.ends,
          options: ends,
          hint: 'A project that comes to it from then on is closed, or opened again; those that stand in it stay as they are.',
        },
      ],
      edit: ({ ends: end = 'open' }) => ({ ends: end as Stage['ends'] }),
    },
    {
      key: 'days',
      label: 'Promised',
      shown: stage.days === null ? '' : `move on within ${stage.days} days`,
      fields: [
        {
          key: 'days',
          label: 'Move on within so many days',
          value: stage.days === null ? '' : String(stage.days),
          hint: 'Empty for no promise.',
        },
      ],
      edit: ({ days = '' }) => ({ days }),
    },
    {
      key: 'needs',
      label: 'Needs',
      shown: setup.stageNeeds
        .filter(({ value }) => stage.needs.includes(value))
        .map(({ label }) => label)
        .join(', '),
      fields: [
        {
          key: 'needs',
          label: 'Before a project comes here',
          value: stage.needs.join(','),
          options: setup.stageNeeds,
          several: true,
          hint: 'A move that misses one says so; an owner can go on with a reason. Rules go on by themselves.',
        },
      ],
      edit: ({ needs = '' }) => ({ needs: needs.split(',').filter(Boolean) }),
    },
  ];
  return (
    <>
      <FactList
        name={`setup.stage.${stage.id}`}
        title={stage.name}
        beside={<small>{hangs}</small>}
        canEdit
        facts={facts}
        saving={edit}
        save={(part) => edit.mutateAsync({ id: stage.id, ...part })}
      />
      {!goes && others.length > 0 && (
        <div className="setup-does">
          <button type="button" className="link-button" onClick={() => setGoes(true)}>
            Remove…
          </button>
        </div>
      )}
      {goes && (
        <AddPane
          name={`remove-stage.${stage.id}`}
          title="Remove this stage"
          saveWord="Remove"
          saving={remove}
          onDone={() => setGoes(false)}
          onSave={async ({ to = '' }) => {
            await remove.mutateAsync({ id: stage.id, to });
            toast({ words: `${stage.name} removed. U takes it back.` });
          }}
          fields={
            stage.projects === 0
              ? []
              : [
                  {
                    key: 'to',
                    label: `Its ${stage.projects} projects go to`,
                    value: others[0]?.id ?? '',
                    options: others.map((one) => ({ value: one.id, label: one.name })),
                  },
                ]
          }
        />
      )}
    </>
  );
}

const numberOf = (number: number | null) => (number === null ? '' : String(number));

function careWords({ careMonths, careWeek }: Service): string {
  const after = careMonths === null ? '' : `after ${count(careMonths, 'month')}`;
  return [after, careWeek === null ? '' : `in week ${careWeek}`].filter(Boolean).join(', ');
}
