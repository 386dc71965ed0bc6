import { Choice, Lengths, Num, Row, Text } from './KindFields';
import type { Kind, Setup } from './queries';

export interface KindDraft {
  name: string;
  slug: string;
  live: boolean;
  settings: Kind['settings'];
}

interface Props {
  draft: KindDraft;
  onChange: (draft: KindDraft) => void;
  setup: Setup;
  violations: { path: string; message: string }[];
}

/** A kind of visit as sentences; each value is changed where it stands. */
export function KindForm({ draft, onChange, setup, violations }: Props) {
  const { settings } = draft;
  const set = (next: Partial<Kind['settings']>) => onChange({ ...draft, settings: { ...settings, ...next } });
  const wrong = (...paths: string[]) =>
    violations.find((one) => paths.some((path) => one.path === path || one.path.startsWith(`${path}.`)))?.message ?? '';
  const people = settings.people.length > 0 ? settings.people : [[]];
  return (
    <div className="kind-form">
      <Row label="What" wrong={wrong('name', 'slug', 'settings.lengths', 'settings.step')}>
        <Text label="Name" value={draft.name} onChange={(name) => onChange({ ...draft, name })} placeholder="name" />{' '}
        takes <Lengths value={settings.lengths} onChange={(lengths) => set({ lengths })} /> min and may start every{' '}
        <Choice
          label="Step"
          value={String(settings.step)}
          options={['5', '10', '15', '20', '30', '60', '120'].map((one) => [one, `${one} min`])}
          onChange={(step) => set({ step: Number(step) })}
        />
        . Price{' '}
        <Text label="Price" value={settings.price} placeholder="none said" onChange={(price) => set({ price })} />,
        deposit{' '}
        <Text label="Deposit" value={settings.deposit} placeholder="none" onChange={(deposit) => set({ deposit })} />.
        Seats <Num label="Seats" value={settings.seats} onChange={(seats) => set({ seats })} />
        {settings.seats > 1 && (
          <>
            ; a place that becomes free is kept for whoever waits for{' '}
            <Num
              label="Hours for whoever waits"
              value={settings.waitHours}
              onChange={(waitHours) => set({ waitHours })}
            />{' '}
            h
          </>
        )}
        .
      </Row>
      <Row label="Where" wrong={wrong('settings.place', 'settings.address')}>
        <Choice
          label="Place"
          value={settings.place}
          options={[
            ['client', 'At the client’s'],
            ['here', 'Here'],
            ['phone', 'By phone'],
            ['video', 'By video'],
          ]}
          onChange={(place) => set({ place: place as Kind['settings']['place'] })}
        />
        {settings.place === 'client' ? (
          `. On the road by the table of ${setup.roads.length} roads, ${setup.unknownRoad} min where it has no entry.`
        ) : settings.place === 'phone' ? (
          '.'
        ) : (
          <>
            ,{' '}
            <Text
              label="Address or link"
              value={settings.address}
              placeholder={settings.place === 'here' ? 'our address' : 'link'}
              onChange={(address) => set({ address })}
            />
            .
          </>
        )}
      </Row>
      <Row label="Clear" wrong={wrong('settings.clearBefore', 'settings.clearAfter')}>
        Keep <Num label="Clear before" value={settings.clearBefore} onChange={(clearBefore) => set({ clearBefore })} />{' '}
        min before and{' '}
        <Num label="Clear after" value={settings.clearAfter} onChange={(clearAfter) => set({ clearAfter })} /> min
        after, besides the road.
      </Row>
      <Row label="Who" wrong={wrong('settings.people', 'settings.resources')}>
        <Choice
          label="How many it takes"
          value={settings.takes}
          options={[
            ['any', 'Any of'],
            ['all', 'All of'],
            ['each', 'One of each role'],
          ]}
          onChange={(takes) =>
            set({
              takes: takes as Kind['settings']['takes'],
              people: takes === 'each' ? people : [[...new Set(people.flat())]],
            })
          }
        />
        {people.map((role, i) => (
          <fieldset key={i} className="kind-people">
            <legend className={people.length > 1 ? '' : 'unseen'}>
              {people.length > 1 ? `Role ${i + 1}` : 'People'}
            </legend>
            {setup.staff.map((one) => (
              <label key={one.id}>
                <input
                  type="checkbox"
                  checked={role.includes(one.id)}
                  onChange={(event) =>
                    set({
                      people: people.map((now, at) =>
                        at === i ? (event.target.checked ? [...now, one.id] : now.filter((id) => id !== one.id)) : now,
                      ),
                    })
                  }
                />{' '}
                {one.name}
              </label>
            ))}
            {people.length > 1 && (
              <button
                type="button"
                className="link-button"
                onClick={() => set({ people: people.filter((_, at) => at !== i) })}
              >
                Remove role
              </button>
            )}
          </fieldset>
        ))}
        {settings.takes === 'each' && (
          <button type="button" className="link-button" onClick={() => set({ people: [...people, []] })}>
            Add role
          </button>
        )}
        {settings.takes !== 'all' && (
          <>
            {' '}
            It goes{' '}
            <Choice
              label="Who gets it"
              value={settings.picks}
              options={[
                ['turns', 'by turns'],
                ['fewest', 'to whoever has fewest that week'],
                ['earlier', 'to whoever was there before'],
              ]}
              onChange={(picks) => set({ picks: picks as Kind['settings']['picks'] })}
            />
            .
          </>
        )}{' '}
        It takes along{' '}
        {setup.resources.length === 0
          ? 'nothing'
          : setup.resources.map((one) => (
              <label key={one.id} className="inline-check">
                <input
                  type="checkbox"
                  checked={settings.resources.includes(one.id)}
                  onChange={(event) =>
                    set({
                      resources: event.target.checked
                        ? [...settings.resources, one.id]
                        : settings.resources.filter((id) => id !== one.id),
                    })
                  }
                />{' '}
                {one.name.toLowerCase()}
              </label>
            ))}
        .
      </Row>
      <Row label="When" wrong={wrong('settings.notice', 'settings.furthestDays')}>
        From{' '}
        <Num
          label="Least notice in hours"
          value={settings.notice / 60}
          onChange={(hours) => set({ notice: Math.round(hours * 60) })}
        />{' '}
        h to{' '}
        <Num
          label="Furthest ahead in days"
          value={settings.furthestDays}
          onChange={(furthestDays) => set({ furthestDays })}
        />{' '}
        days ahead.
      </Row>
      <Row label="Limits" wrong={wrong('settings.dayLimit', 'settings.weekLimit')}>
        <Num
          label="A day, each"
          value={settings.dayLimit}
          empty="any number"
          onChange={(dayLimit) => set({ dayLimit: dayLimit || null })}
        />{' '}
        a day and{' '}
        <Num
          label="A week, each"
          value={settings.weekLimit}
          empty="any number"
          onChange={(weekLimit) => set({ weekLimit: weekLimit || null })}
        />{' '}
        a week each.
      </Row>
      <Row label="Project" wrong={wrong('settings.onto', 'settings.service')}>
        <Choice
          label="What it does to projects"
          value={settings.onto}
          options={[
            ['joins', 'Joins the open one of the client, or opens one'],
            ['opens', 'Opens one'],
            ['asks', 'Asks'],
            ['none', 'None, on purpose'],
          ]}
          onChange={(onto) => set({ onto: onto as Kind['settings']['onto'] })}
        />
        , for{' '}
        <Choice
          label="Service"
          value={settings.service}
          options={[['', 'no service'], ...setup.services.map((one): [string, string] => [one.key, one.name])]}
          onChange={(service) => set({ service })}
        />
        .
      </Row>
      <Row label="Asks" wrong={wrong('settings.after')}>
        Before the times: the form of the booking page. After them:{' '}
        <Choice
          label="Form after the time"
          value={settings.after}
          options={[['', 'nothing'], ...setup.forms.map((one): [string, string] => [one.slug, one.title])]}
          onChange={(after) => set({ after })}
        />
        .
      </Row>
      <Row label="Sends" wrong={wrong('settings.reminders')}>
        The confirmation at once
        {settings.reminders.map((one, i) => (
          <span key={i}>
            ,{' '}
            <Choice
              label={`Reminder ${i + 1}`}
              value={one.template}
              options={setup.templates.map((text) => [text.key, text.name])}
              onChange={(template) =>
                set({ reminders: settings.reminders.map((now, at) => (at === i ? { ...now, template } : now)) })
              }
            />{' '}
            <Num
              label={`Hours before, reminder ${i + 1}`}
              value={one.minutes / 60}
              onChange={(hours) =>
                set({
                  reminders: settings.reminders.map((now, at) =>
                    at === i ? { ...now, minutes: Math.round(hours * 60) } : now,
                  ),
                })
              }
            />{' '}
            h before{' '}
            <button
              type="button"
              className="link-button"
              onClick={() => set({ reminders: settings.reminders.filter((_, at) => at !== i) })}
            >
              not
            </button>
          </span>
        ))}
        .{' '}
        <button
          type="button"
          className="link-button"
          onClick={() =>
            set({
              reminders: [...settings.reminders, { minutes: 2880, template: setup.templates[0]?.key ?? 'reminder' }],
            })
          }
        >
          Remind once more
        </button>
      </Row>
      <Row label="Changes" wrong={wrong('settings.cancelNotice')}>
        By the client until{' '}
        <Num
          label="Notice to cancel in hours"
          value={settings.cancelNotice / 60}
          onChange={(hours) => set({ cancelNotice: Math.round(hours * 60) })}
        />{' '}
        h before. Later it goes to the coordinator.
      </Row>
      <Row label="Says" wrong={wrong('settings.says')}>
        <textarea
          aria-label="What the client should know"
          rows={2}
          maxLength={2000}
          value={settings.says}
          placeholder="what the client should know"
          onChange={(event) => set({ says: event.target.value })}
        />
      </Row>
      <Row label="Offered" wrong="">
        <label className="inline-check">
          <input
            type="checkbox"
            checked={draft.live}
            onChange={(event) => onChange({ ...draft, live: event.target.checked })}
          />{' '}
          It may be booked.
        </label>{' '}
        Known as{' '}
        <Text
          label="Ending of its address"
          value={draft.slug}
          placeholder="made of its name"
          onChange={(slug) => onChange({ ...draft, slug })}
        />
        .
      </Row>
    </div>
  );
}
