import Button from '@mui/material/Button';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { api, need, ProblemError } from '../../shared/api';
import { count } from '../../shared/numbers';
import { queryKeys } from '../queryKeys';
import { AlsoWriting } from '../shell/AlsoWriting';
import { Behind } from '../shell/Behind';
import { StaffField } from '../shell/StaffField';
import { useToast } from '../shell/Toast';
import { useDraftOf } from '../shell/useDraftOf';
import { isUnsaved } from '../shell/useUnsaved';
import { NamedElsewhere } from './NamedElsewhere';
import type { Setup } from './queries';

type Page = Setup['pages'][number];

const pageDraft = (page: Page | null) => `booking-page.${page?.id ?? 'new'}`;

/** Booking pages: their address, what they offer, the form before the times, and how those who began got on. */
export function PagesForm({ setup }: { setup: Setup }) {
  const [adding, setAdding] = useState(() => isUnsaved(pageDraft(null)));
  return (
    <div className="kind-part">
      <h1>Booking pages</h1>
      {setup.pages.map((page) => (
        <OnePage key={page.id} page={page} setup={setup} onDone={() => undefined} />
      ))}
      {adding ? (
        <OnePage page={null} setup={setup} onDone={() => setAdding(false)} />
      ) : (
        <Button variant="outlined" size="small" onClick={() => setAdding(true)}>
          Add a page
        </Button>
      )}
    </div>
  );
}

function OnePage({ page, setup, onDone }: { page: Page | null; setup: Setup; onDone: () => void }) {
  const name = pageDraft(page);
  const work = useDraftOf(name, page?.version ?? 0, {
    slug: page?.slug ?? '',
    title: page?.title ?? '',
    intro: page?.intro ?? '',
    types: page?.types ?? [],
    form: page?.form ?? setup.forms[0]?.slug ?? '',
    live: page?.live ?? true,
    sites: (page?.sites ?? []).join('\n'),
  });
  const { slug, title, intro, types, form, live, sites } = work.value;
  const set = (part: Partial<typeof work.value>) => work.set({ ...work.latest(), ...part });
  const [open, setOpen] = useState(page === null || work.edited);
  const queries = useQueryClient();
  const toast = useToast();
  const save = useMutation({
    mutationFn: async (anyway: boolean) => {
      const wasSaved = work.sending();
      const body = {
        ...(anyway ? { anyway } : {}),
        version: page ? work.from : 1,
        slug,
        title,
        intro,
        types,
        form,
        live,
        sites: sites
          .split('\n')
          .map((one) => one.trim())
          .filter(Boolean),
      };
      const next = await (page
        ? need(api.PUT('/api/diary/pages/{id}', { params: { path: { id: page.id } }, body }))
        : need(api.POST('/api/diary/pages', { body })));
      wasSaved(next.pages.find((one) => one.id === page?.id)?.version ?? 0);
      return next;
    },
    onSuccess: (next) => {
      queries.setQueryData(queryKeys.visitTypes, next);
      toast({ words: `${title} is saved.` });
      onDone();
      void queries.invalidateQueries();
    },
  });
  const violations = save.error instanceof ProblemError ? save.error.violations : [];
  const wrong = (path: string) => violations.find((one) => one.path === path)?.message;
  const starts = page?.starts;
  return (
    <section className="page-part">
      {page && (
        <p className="page-line">
          <b>{page.title}</b>
          <a href={`/book/${page.slug}`} target="_blank" rel="noreferrer">
            /book/{page.slug}
          </a>
          <span className="second">
            {starts && starts.begun > 0
              ? `${count(starts.begun, 'start')} in 90 days: ${starts.booked} booked, ${starts.waits > 0 ? `${starts.waits} wait for a place, ` : ''}${starts.held} left with a time held, ${starts.times} left at the times`
              : 'Nobody has begun in 90 days'}
          </span>
          <button type="button" className="link-button" aria-expanded={open} onClick={() => setOpen(!open)}>
            {open ? 'Close' : 'Change'}
          </button>
        </p>
      )}
      {page && open && <AlsoWriting name={name} />}
      {page && work.behind && (
        <Behind version={page.version} parts={work.parts} onGoOn={work.goOn} onDiscard={work.discard} />
      )}
      <NamedElsewhere violations={violations} busy={save.isPending} onAnyway={() => save.mutate(true)} />
      {open && (
        <form
          onSubmit={(event) => {
            event.preventDefault();
            save.mutate(false);
          }}
        >
          <StaffField
            label="Heading"
            value={title}
            error={wrong('title')}
            onChange={(event) => set({ title: event.target.value })}
          />
          <StaffField
            label="Ending of its address, after /book/"
            value={slug}
            error={wrong('slug')}
            onChange={(event) => set({ slug: event.target.value })}
          />
          <StaffField
            label="Words beneath"
            value={intro}
            error={wrong('intro')}
            onChange={(event) => set({ intro: event.target.value })}
          />
          <fieldset className="kind-people">
            <legend>What may be booked on it</legend>
            {setup.types.map((one) => (
              <label key={one.id}>
                <input
                  type="checkbox"
                  checked={types.includes(one.id)}
                  onChange={(event) =>
                    set({ types: event.target.checked ? [...types, one.id] : types.filter((id) => id !== one.id) })
                  }
                />{' '}
                {one.name}
              </label>
            ))}
            {wrong('types') && <p className="staff-field-error">{wrong('types')}</p>}
          </fieldset>
          <label className="staff-field">
            <span>The form that asks who it is, before the times</span>
            <select value={form} onChange={(event) => set({ form: event.target.value })}>
              {setup.forms.map((one) => (
                <option key={one.slug} value={one.slug}>
                  {one.title}
                </option>
              ))}
            </select>
            {wrong('form') && <span className="staff-field-error">{wrong('form')}</span>}
          </label>
          <label className="staff-field">
            <span>Sites that may show it in a frame, one a line</span>
            <textarea
              rows={2}
              value={sites}
              placeholder="https://www.example.com"
              onChange={(event) => set({ sites: event.target.value })}
            />
            {wrong('sites') && <span className="staff-field-error">{wrong('sites')}</span>}
          </label>
          <label className="inline-check">
            <input type="checkbox" checked={live} onChange={(event) => set({ live: event.target.checked })} /> It is
            open
          </label>
          {page && live && (
            <p className="second">
              To embed it:{' '}
              <code>{`<iframe src="${window.location.origin}/book/${page.slug}?embed=1" title="${page.title}" style="width:100%;height:900px;border:0"></iframe>`}</code>
            </p>
          )}
          {save.error && !(save.error instanceof ProblemError && save.error.violations.length > 0) && (
            <p className="staff-field-error">{save.error.message}</p>
          )}
          <Button type="submit" variant="contained" size="small" disabled={save.isPending}>
            Save
          </Button>
        </form>
      )}
    </section>
  );
}
