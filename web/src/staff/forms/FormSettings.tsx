import Button from '@mui/material/Button';
import { useState } from 'react';
import { ProblemError } from '../../shared/api';
import { MarkShape } from '../../shared/Mark';
import { StaffField } from '../shell/StaffField';
import { useToast } from '../shell/Toast';
import { isUnsaved, useUnsaved } from '../shell/useUnsaved';
import { useSettings, useWithdraw, type DesignedForm, type Settings } from './queries';

export function SettingsFields({ form }: { form: DesignedForm }) {
  // Kept while another question is looked at, until it is saved.
  const [settings, setSettings, forget] = useUnsaved<Settings>(`form.${form.id}.settings`, {
    slug: form.slug,
    opensOn: form.settings.opensOn ?? '',
    closesOn: form.settings.closesOn ?? '',
    limit: form.settings.limit,
    closedText: form.settings.closedText,
    sites: form.settings.sites,
  });
  const save = useSettings();
  const toast = useToast();
  const fault = (field: string) =>
    save.error instanceof ProblemError
      ? save.error.violations.find((violation) => violation.path === field)?.message
      : undefined;
  const set = (part: Partial<Settings>) => setSettings({ ...settings, ...part });
  const changed = isUnsaved(`form.${form.id}.settings`);
  return (
    <form
      className="where"
      onSubmit={(event) => {
        event.preventDefault();
        const sites = settings.sites.filter((site) => site.trim() !== '');
        save.mutate(
          { id: form.id, settings: { ...settings, sites } },
          {
            onSuccess: () => {
              forget();
              toast({ words: 'Saved where and when it stands.' });
            },
          },
        );
      }}
    >
      <h3 className="group-label">Where and when</h3>
      <StaffField
        label="Ending of its address, after /f/"
        value={settings.slug}
        error={fault('slug')}
        onChange={(event) => set({ slug: event.target.value })}
      />
      <StaffField
        label="Opens on"
        placeholder="2027-06-12"
        value={settings.opensOn}
        error={fault('opensOn')}
        onChange={(event) => set({ opensOn: event.target.value })}
      />
      <StaffField
        label="Closes after"
        placeholder="2027-06-12"
        value={settings.closesOn}
        error={fault('closesOn')}
        onChange={(event) => set({ closesOn: event.target.value })}
      />
      <StaffField
        label="Submissions at most"
        type="number"
        min={1}
        value={settings.limit ?? ''}
        error={fault('limit')}
        onChange={(event) => set({ limit: event.target.value === '' ? null : Number(event.target.value) })}
      />
      <StaffField
        label="What it says while it is closed"
        value={settings.closedText}
        maxLength={1000}
        error={fault('closedText')}
        onChange={(event) => set({ closedText: event.target.value })}
      />
      <div className={fault('sites') ? 'staff-field wrong' : 'staff-field'}>
        <label htmlFor="form-sites">Other sites that may show it, one a line</label>
        <textarea
          id="form-sites"
          rows={2}
          placeholder="https://www.example.com"
          value={settings.sites.join('\n')}
          aria-invalid={fault('sites') ? true : undefined}
          onChange={(event) => set({ sites: event.target.value === '' ? [] : event.target.value.split('\n') })}
        />
        {fault('sites') && (
          <p className="staff-field-error">
            <MarkShape kind="choose" /> {fault('sites')}
          </p>
        )}
      </div>
      <p>
        <Button type="submit" variant="outlined" size="small" disabled={save.isPending}>
          Save where and when
        </Button>{' '}
        {changed && <span className="second">not saved yet</span>}{' '}
        {form.published && (
          <a href={`/f/${form.slug}`} target="_blank" rel="noreferrer">
            Open the page
          </a>
        )}{' '}
        <a href={`/api/forms/${form.id}/export`}>Save as a file</a>
      </p>
    </form>
  );
}

/** Takes the live form offline, after saying what that means. */
export function Withdraw({ form }: { form: DesignedForm }) {
  const [asked, setAsked] = useState(false);
  const withdraw = useWithdraw();
  const toast = useToast();
  return (
    <section className="withdraw">
      <h3 className="group-label">Take it offline</h3>
      {asked ? (
        <p>
          Nobody can fill in /f/{form.slug} any more until a version is published again. What came through it stays, and
          so does this draft.{' '}
          <Button
            size="small"
            variant="outlined"
            disabled={withdraw.isPending}
            onClick={() =>
              withdraw.mutate(form.id, {
                onSuccess: () => {
                  setAsked(false);
                  toast({ words: `${form.title} is offline.` });
                },
              })
            }
          >
            Take version {form.published?.number} offline
          </Button>{' '}
          <button type="button" className="link-button" onClick={() => setAsked(false)}>
            Cancel
          </button>
          {withdraw.error && <span className="question-error"> {withdraw.error.message}</span>}
        </p>
      ) : (
        <button type="button" className="link-button" onClick={() => setAsked(true)}>
          Take it offline …
        </button>
      )}
    </section>
  );
}
