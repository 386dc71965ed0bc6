import { useRef } from 'react';
import { NavLink, useNavigate, useParams } from 'react-router';
import { ProblemError } from '../../../shared/api';
import { Mark } from '../../../shared/Mark';
import { Trouble } from '../../../shared/Notice';
import '../../definition/forms.css';
import { useKey } from '../../keys';
import '../../shell/list-group.css';
import { Pillars } from '../../shell/Pillars';
import { PillarsWaiting } from '../../shell/PillarsWaiting';
import { NotFound } from '../../shell/Plain';
import { useToast } from '../../shell/Toast';
import { AlsoWriting } from '../../shell/AlsoWriting';
import { Behind as SavedMeanwhile } from '../../shell/Behind';
import { partsOf, taking } from '../../shell/parts';
import { useEdited } from '../../shell/useEdited';
import { PartsOfRules } from '../PartsOfRules';
import '../rules.css';
import { Behind } from './Behind';
import { draftOf, emptyDraft } from './checklist';
import './checklists.css';
import { ListFiles } from './ListFiles';
import { ListHistory } from './ListHistory';
import { ListSheet } from './ListSheet';
import { useChecklists, useKeepList, useRetireList, type Draft, type KeptList, type Lists } from './queries';
import { Trial } from './Trial';

/** Checklists: the tasks that a project begins with, in their order, and what each new version would change. */
export function ChecklistsScreen() {
  const { id } = useParams();
  const lists = useChecklists();
  if (!lists.data) return <PillarsWaiting title="Checklists" query={lists} />;
  const kept = lists.data.items.find((one) => one.id === id || one.key === id);
  if (id && id !== 'new' && !kept) return <NotFound what="checklist" />;
  const shown = id === 'new' ? undefined : (kept ?? lists.data.items[0]);
  return <OneList key={shown?.id ?? 'new'} lists={lists.data} kept={shown} />;
}

function OneList({ lists, kept }: { lists: Lists; kept: KeptList | undefined }) {
  const navigate = useNavigate();
  const toast = useToast();
  const keep = useKeepList();
  const sending = useRef(false);
  const retire = useRetireList();
  // Kept under the list's name: choosing another one loses nothing.
  const { edited, set: setEdited, sending: sendingDraft } = useEdited<Draft>('checklist', kept?.id ?? 'new');
  const base = lists.items.find((one) => one.isBase);
  const draft = edited ?? (kept ? draftOf(kept) : emptyDraft);
  const shown = draft.key === '' ? { ...draft, key: 'the-new-one' } : draft;
  const faults =
    keep.error instanceof ProblemError
      ? Object.fromEntries(keep.error.violations.map((fault) => [fault.path, fault.message]))
      : {};
  const behind = kept !== undefined && edited !== null && edited.version !== kept.version;
  const place = lists.items.findIndex((one) => one.id === kept?.id);
  const go = (to: number) => {
    const next = lists.items[to];
    if (next) void navigate(`/checklists/${next.id}`);
  };
  useKey('next', () => go(place + 1));
  useKey('previous', () => go(place - 1));
  const save = () => {
    // Two keys within one breath are one version.
    if (sending.current) return;
    sending.current = true;
    const { key, ...rest } = draft;
    const afterwards = sendingDraft();
    keep.mutate(
      { id: kept?.id, draft: { ...rest, key: kept ? key : '' } },
      {
        onSettled: () => {
          sending.current = false;
        },
        onSuccess: (saved) => {
          afterwards(saved.id, (typed) => ({ ...typed, key: saved.key, version: saved.version }));
          toast({ words: `${saved.name} saved, version ${saved.version}. U takes it back.` });
          void navigate(`/checklists/${saved.id}`, { replace: true });
        },
      },
    );
  };
  const discard = () => {
    setEdited(null);
    keep.reset();
  };
  const bringsIt = [
    ...(kept?.services ?? []).map((one) => one.label),
    ...(kept?.rules ?? []).map((one) => `the rule ${one.label}`),
  ];
  return (
    <Pillars
      title={draft.name ? `${draft.name}, Checklists` : 'Checklists'}
      pillars={[
        {
          name: 'List',
          width: '236px',
          middling: '220px',
          folds: true,
          tally: lists.items.length,
          content: (
            <>
              <PartsOfRules lists={lists.items.filter((one) => !one.retired).length} />
              <Group
                title="Base"
                beside="open projects"
                lists={lists.items.filter((one) => one.isBase)}
                at={kept?.id}
              />
              <Group
                title="Add-ons"
                beside={<NavLink to="/checklists/new">Add checklist</NavLink>}
                lists={lists.items.filter((one) => !one.isBase)}
                at={kept?.id}
              />
            </>
          ),
        },
        {
          name: 'Items',
          sheet: true,
          width: '580px',
          middling: '1fr',
          wide: '720px',
          content: (
            <>
              <div className="pillar-head">
                <h1>{draft.name || 'A new checklist'}</h1>
                <small>
                  {kept?.isBase ? 'base' : 'add-on'}
                  {kept && `, version ${kept.version}`}
                  {edited !== null && ', not saved'}
                </small>
              </div>
              {kept && !kept.isBase && (
                <p className="second list-brings">
                  {bringsIt.length > 0
                    ? `Comes with ${bringsIt.join(', ')}. `
                    : 'Nothing brings it yet: choose it for a service in Setup, or in a rule. '}
                  <NavLink to="/rules/new">Add a rule</NavLink>
                </p>
              )}
              {kept?.isBase && <p className="second list-brings">Every new project gets it.</p>}
              {kept && <AlsoWriting name={`checklist.${kept.id}`} />}
              {kept && behind && (
                <SavedMeanwhile
                  version={kept.version}
                  parts={partsOf(undefined, { ...draft, version: kept.version }, draftOf(kept))}
                  onGoOn={(theirs) => {
                    const chosen = partsOf(undefined, draft, draftOf(kept)).filter((part) =>
                      theirs.includes(part.path),
                    );
                    setEdited({ ...taking(draft, chosen), version: kept.version });
                    keep.reset();
                  }}
                  onDiscard={discard}
                />
              )}
              {keep.error && !behind && Object.keys(faults).length === 0 && (
                <Trouble title="Not saved">{keep.error.message}</Trouble>
              )}
              {faults[''] && <Trouble title="Not saved">{faults['']}</Trouble>}
              <ListSheet
                draft={shown}
                kept={kept}
                base={kept?.isBase ? undefined : base}
                lists={lists}
                faults={faults}
                onChange={(next) => setEdited({ ...next, key: draft.key })}
              />
              {kept && <ListHistory kept={kept} onBring={setEdited} />}
              <ListFiles kept={kept} />
            </>
          ),
          blocks: [
            {
              label: keep.isPending ? 'Saving…' : kept ? `Save version ${kept.version + 1}` : 'Save',
              keyName: 'main',
              main: true,
              disabled: keep.isPending || edited === null,
              act: save,
            },
            ...(edited !== null ? [{ label: 'Discard', act: discard }] : []),
            ...(kept && !kept.isBase
              ? [
                  {
                    label: kept.retired ? 'Bring back' : 'Retire',
                    disabled: retire.isPending,
                    act: () =>
                      retire.mutate(
                        { id: kept.id, retired: !kept.retired },
                        {
                          onSuccess: (now) =>
                            toast({ words: `${now.name} ${now.retired ? 'retired' : 'is back'}. U takes it back.` }),
                          onError: (error) => toast({ words: error.message }),
                        },
                      ),
                  },
                ]
              : []),
          ],
        },
        {
          name: 'Try it',
          width: '1fr',
          middling: '380px',
          content: (
            <>
              <Trial
                id={kept?.id ?? ''}
                draft={shown}
                lists={lists}
                service={kept?.services[0]?.value ?? ''}
                changed={edited !== null}
              />
              {kept && <Behind kept={kept} />}
            </>
          ),
        },
      ]}
    />
  );
}

interface GroupProps {
  title: string;
  beside: React.ReactNode;
  lists: KeptList[];
  at: string | undefined;
}

function Group({ title, beside, lists, at }: GroupProps) {
  return (
    <section aria-label={title} className="list-group">
      <h2>
        <em>{title}</em> <small>{beside}</small>
      </h2>
      <ul className="rule-list">
        {lists.map((one) => (
          <li key={one.id}>
            <NavLink to={`/checklists/${one.id}`} className={one.id === at ? 'list-row active' : 'list-row'}>
              <b>{one.name}</b>
              {one.retired ? (
                <Mark kind="stopped">retired</Mark>
              ) : (
                <span className="figures second">{one.projects}</span>
              )}
            </NavLink>
          </li>
        ))}
      </ul>
    </section>
  );
}
