import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { api, need, ProblemError } from '../../shared/api';
import { Mark } from '../../shared/Mark';
import { Empty, Trouble } from '../../shared/Notice';
import { queryKeys } from '../queryKeys';
import { Pillars } from '../shell/Pillars';
import { PillarsWaiting } from '../shell/PillarsWaiting';
import { AlsoWriting } from '../shell/AlsoWriting';
import { Behind } from '../shell/Behind';
import { useToast } from '../shell/Toast';
import { useDraftOf } from '../shell/useDraftOf';
import { KindForm, type KindDraft } from './KindForm';
import './kinds.css';
import { NamedElsewhere } from './NamedElsewhere';
import { PagesForm } from './PagesForm';
import { RoadsForm } from './RoadsForm';
import { CalendarsForm } from './CalendarsForm';
import { TryIt } from './TryIt';
import { useVisitTypes, type Kind, type Setup } from './queries';

/** What may be booked: kinds of visit as sentences, tried as they are typed; booking pages, roads, calendars. */
export function KindsScreen() {
  const setup = useVisitTypes();
  const [search, setSearch] = useSearchParams();
  if (!setup.data) return <PillarsWaiting title="Kinds of visit" query={setup} />;
  const part = search.get('part') ?? '';
  const kind = part
    ? undefined
    : (setup.data.types.find((one) => one.id === search.get('kind')) ??
      (search.has('new') ? undefined : setup.data.types[0]));
  return (
    <Kinds
      key={kind?.id ?? (part || 'new')}
      setup={setup.data}
      kind={kind}
      part={part}
      onShow={(next) => setSearch(next)}
    />
  );
}

function words(settings: Kind['settings'], setup: Setup): string {
  const resources = setup.resources
    .filter((one) => settings.resources.includes(one.id))
    .map((one) => one.name.toLowerCase());
  return [
    settings.lengths
      .map((one) => (one < 60 ? `${one} min` : `${Math.floor(one / 60)} h${one % 60 ? ` ${one % 60}` : ''}`))
      .join(' or '),
    ...resources,
    settings.seats > 1 ? `${settings.seats} seats` : '',
  ]
    .filter(Boolean)
    .join(', ');
}

const blank: Kind['settings'] = {
  lengths: [60],
  clearBefore: 0,
  clearAfter: 15,
  takes: 'any',
  people: [],
  picks: 'turns',
  resources: [],
  place: 'client',
  address: '',
  step: 30,
  notice: 1440,
  furthestDays: 60,
  dayLimit: null,
  weekLimit: null,
  seats: 1,
  price: '',
  deposit: '',
  cancelNotice: 1440,
  onto: 'joins',
  service: '',
  after: '',
  reminders: [
    { minutes: 1440, template: 'reminder' },
    { minutes: 120, template: 'on-the-way' },
  ],
  says: '',
  waitHours: 24,
};

function Kinds({
  setup,
  kind,
  part,
  onShow,
}: {
  setup: Setup;
  kind: Kind | undefined;
  part: string;
  onShow: (next: Record<string, string>) => void;
}) {
  const [begun] = useState<KindDraft>(() => ({
    name: '',
    slug: '',
    live: true,
    settings: { ...blank, people: setup.staff.length > 0 ? [[setup.staff[0]?.id ?? '']] : [] },
  }));
  const work = useDraftOf<KindDraft>(
    `kind-of-visit.${kind?.id ?? 'new'}`,
    kind?.version ?? 0,
    kind ? { name: kind.name, slug: kind.slug, live: kind.live, settings: kind.settings } : begun,
  );
  const draft = work.value;
  const saved = kind
    ? JSON.stringify({ name: kind.name, slug: kind.slug, live: kind.live, settings: kind.settings })
    : '';
  const changed =
    JSON.stringify({ name: draft.name, slug: draft.slug, live: draft.live, settings: draft.settings }) !== saved;
  const queries = useQueryClient();
  const toast = useToast();
  const save = useMutation({
    mutationFn: async (anyway: boolean) => {
      const wasSaved = work.sending();
      const body = { ...draft, version: kind ? work.from : 1, ...(anyway ? { anyway } : {}) };
      const next = await (kind
        ? need(api.PUT('/api/diary/types/{id}', { params: { path: { id: kind.id } }, body }))
        : need(api.POST('/api/diary/types', { body })));
      wasSaved(next.types.find((one) => one.id === kind?.id)?.version ?? 0);
      return next;
    },
    onSuccess: (next) => {
      queries.setQueryData(queryKeys.visitTypes, next);
      toast({ words: `${draft.name} is saved.` });
      const mine = kind ? kind.id : (next.types.at(-1)?.id ?? '');
      onShow({ kind: mine });
      void queries.invalidateQueries();
    },
  });
  const violations = save.error instanceof ProblemError ? save.error.violations : [];
  const pages = kind ? setup.pages.filter((page) => page.types.includes(kind.id)) : [];
  const head = (
    <nav className="kinds-course" aria-label="Kinds of visit">
      <p className="kinds-title">
        <b className="serif">Kinds of visit</b>
        <span>
          {setup.types.length}, {setup.types.filter((one) => one.live).length} may be booked
        </span>
      </p>
      <div>
        {setup.types.map((one) => (
          <button
            key={one.id}
            type="button"
            aria-current={one.id === kind?.id}
            onClick={() => onShow({ kind: one.id })}
          >
            <span>{one.name}</span>
            <Mark kind={one.live ? 'done' : 'stopped'}>
              {one.live ? 'live' : 'not offered'}, {words(one.settings, setup)}
            </Mark>
          </button>
        ))}
        {(
          [
            ['pages', 'Booking pages', `${setup.pages.length}`],
            ['roads', 'Roads', `${setup.roads.length} known`],
            ['calendars', 'Calendars', 'in and out'],
          ] as const
        ).map(([value, label, beside]) => (
          <button
            key={value}
            type="button"
            className="other"
            aria-current={part === value}
            onClick={() => onShow({ part: value })}
          >
            <span>{label}</span>
            <small>{beside}</small>
          </button>
        ))}
      </div>
    </nav>
  );
  const add = { label: 'Add kind', keyName: 'add' as const, act: () => onShow({ new: '1' }) };
  if (part)
    return (
      <Pillars
        title="Kinds of visit"
        head={head}
        pillars={[
          {
            name: part === 'pages' ? 'Booking pages' : part === 'roads' ? 'Roads' : 'Calendars',
            width: '1fr',
            sheet: true,
            content:
              part === 'pages' ? (
                <PagesForm setup={setup} />
              ) : part === 'roads' ? (
                <RoadsForm setup={setup} />
              ) : (
                <CalendarsForm setup={setup} />
              ),
            blocks: [add],
          },
        ]}
      />
    );
  return (
    <Pillars
      title="Kinds of visit"
      head={head}
      pillars={[
        {
          name: 'Kind',
          width: '520px',
          middling: '1fr',
          sheet: true,
          content: (
            <>
              <div className="kind-head">
                <h1>{draft.name || 'A new kind of visit'}</h1>
                {kind && (
                  <p className="second">
                    Booked {kind.booked.booked} times in 90 days, {kind.booked.held} held, {kind.booked.missed} missed.{' '}
                    {pages.map((page) => (
                      <a key={page.id} href={`/book/${page.slug}?type=${kind.slug}`} target="_blank" rel="noreferrer">
                        /book/{page.slug}{' '}
                      </a>
                    ))}
                  </p>
                )}
              </div>
              {kind && <AlsoWriting name={`kind-of-visit.${kind.id}`} />}
              {kind && work.behind && (
                <Behind version={kind.version} parts={work.parts} onGoOn={work.goOn} onDiscard={work.discard} />
              )}
              <NamedElsewhere violations={violations} busy={save.isPending} onAnyway={() => save.mutate(true)} />
              {kind && changed && <Hangs kind={kind} />}
              {setup.staff.length === 0 ? (
                <Empty fact="Nobody is on the staff yet.">
                  Add them under <Link to="/setup">Setup</Link> first.
                </Empty>
              ) : (
                <KindForm draft={draft} onChange={work.set} setup={setup} violations={violations} />
              )}
              {save.error && violations.length === 0 && <Trouble title="Not saved">{save.error.message}</Trouble>}
            </>
          ),
          blocks: [
            {
              label: kind ? `Save ${draft.name}` : 'Add it',
              keyName: 'main',
              main: true,
              disabled: save.isPending || (kind !== undefined && !changed),
              act: () => save.mutate(false),
            },
          ],
        },
        {
          name: 'Try it',
          width: '1fr',
          content: <TryIt settings={draft.settings} />,
          blocks: [add],
        },
      ]}
      note={kind && changed ? 'changed, not saved' : undefined}
    />
  );
}

/** What a change touches, said before it is saved. */
function Hangs({ kind }: { kind: Kind }) {
  const { ahead, waiting, rules } = kind.hangs;
  const facts = [
    ahead > 0 ? `${ahead === 1 ? 'One visit' : `${ahead} visits`} to come stay as they are` : '',
    waiting > 0 ? `${waiting === 1 ? 'one person waits' : `${waiting} people wait`} for a place` : '',
    rules.length > 0 ? `named by ${rules.map((name) => `“${name}”`).join(', ')}` : '',
  ].filter(Boolean);
  return facts.length > 0 ? (
    <p className="kind-hangs" role="status">
      {facts.join('; ')}.
    </p>
  ) : null;
}
