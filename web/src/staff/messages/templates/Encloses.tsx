import { useMutation } from '@tanstack/react-query';
import { useEffect, useId, useRef, useState } from 'react';
import { Uploads } from '../../../form/uploads';
import { UploadLines, useBringing } from '../../shell/Bringing';
import { useToast } from '../../shell/Toast';
import { keepFiles, type Draft, type Template } from './queries';

const limits = { maxFiles: 10, maxBytes: 10_485_760 };
const here = 'template';
const isFile = (paper: string) => paper.length === 36;

interface Props {
  template: Template;
  draft: Draft;
  faults: Record<string, string>;
  change: (part: Partial<Draft>) => void;
}

/** What goes with every message of a template, where answers to it go, and what it needs to be allowed. */
export function Encloses({ template, draft, faults, change }: Props) {
  const id = useId();
  const toast = useToast();
  // What was added since it was loaded has its name from here.
  const [names, setNames] = useState<Record<string, string>>({});
  const called = { ...template.called, ...names };
  const [uploads] = useState(() => new Uploads());
  const { chosen, over, open, ways, chooser } = useBringing({ uploads, of: here, limits, label: 'Add files' });
  const { mutate } = useMutation({ mutationFn: (ids: string[]) => keepFiles(template.id, ids) });
  const papers = useRef(draft.papers);
  useEffect(() => {
    papers.current = draft.papers;
  });
  const arrived = chosen.every((file) => file.state === 'kept' || file.state === 'failed')
    ? chosen.flatMap((file) => (file.kept ? [file.kept.id] : []))
    : [];
  const ready = arrived.join(' ');
  useEffect(() => {
    if (!ready) return;
    mutate(ready.split(' '), {
      onSuccess: ({ items }) => {
        setNames((now) => ({ ...now, ...Object.fromEntries(items.map((file) => [file.id, file.name])) }));
        change({ papers: [...papers.current, ...items.map((file) => file.id)] });
      },
      onError: (error) => toast({ words: error.message }),
      onSettled: () => {
        for (const file of uploads.all()[here] ?? [])
          if (file.kept && ready.includes(file.kept.id)) uploads.remove(file.local);
      },
    });
    // Once for each lot that has arrived: what is typed meanwhile does not send it again.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [ready]);
  const fault = (field: string) =>
    faults[field] && (
      <p className="fault" role="alert">
        {faults[field]}
      </p>
    );
  return (
    <section className={over ? 'encloses over' : 'encloses'} aria-label="Goes with it" {...ways}>
      <p className="field-label" aria-hidden="true">
        Goes with it
      </p>
      <ul className="encloses-list">
        {Object.entries(called)
          .filter(([paper]) => !isFile(paper))
          .map(([paper, words]) => (
            <li key={paper}>
              <label>
                <input
                  type="checkbox"
                  checked={draft.papers.includes(paper)}
                  onChange={(event) =>
                    change({
                      papers: event.target.checked
                        ? [...draft.papers, paper]
                        : draft.papers.filter((one) => one !== paper),
                    })
                  }
                />{' '}
                {words}
              </label>
            </li>
          ))}
        {draft.papers.filter(isFile).map((paper) => (
          <li key={paper}>
            <a href={`/api/files/${paper}`} target="_blank" rel="noreferrer">
              {called[paper] ?? 'a file'}
            </a>{' '}
            <button
              type="button"
              className="link-button"
              aria-label={`Remove ${called[paper] ?? 'the file'}`}
              onClick={() => change({ papers: draft.papers.filter((one) => one !== paper) })}
            >
              Remove
            </button>
          </li>
        ))}
        <li>
          <button type="button" className="link-button" onClick={open}>
            Add files
          </button>
        </li>
      </ul>
      {chooser}
      <UploadLines uploads={uploads} of={here} />
      {fault('papers')}
      {template.purpose !== 'staff' && (
        <>
          <label className="field-label" htmlFor={`${id}-answers`}>
            Answers go to; empty: back to here, with the client
          </label>
          <input
            id={`${id}-answers`}
            type="email"
            value={draft.answersTo}
            maxLength={254}
            onChange={(event) => change({ answersTo: event.target.value })}
          />
          {fault('answersTo')}
          <label className="field-label" htmlFor={`${id}-consent`}>
            If it advertises: only to whoever said yes to
          </label>
          <input
            id={`${id}-consent`}
            value={draft.consent}
            maxLength={100}
            list={`${id}-consents`}
            placeholder="it does not: it serves what they asked or ordered"
            onChange={(event) => change({ consent: event.target.value })}
          />
          <datalist id={`${id}-consents`}>
            {template.consents.map((one) => (
              <option key={one} value={one} />
            ))}
          </datalist>
          {fault('consent')}
        </>
      )}
    </section>
  );
}
