import { useState } from 'react';
import { Trouble } from '../../shared/Notice';
import { api, need } from '../../shared/api';
import type { Definition } from '../definition/design';
import { useBegin, useKeep, type DesignedForm } from './queries';

interface Props {
  id: string;
  mine: Definition;
  onTheirs: (theirs: DesignedForm) => void;
}

/** Somebody else saved this form meanwhile: theirs stays the form's draft, mine becomes a form of its own. */
export function Overtaken({ id, mine, onTheirs }: Props) {
  const begin = useBegin();
  const keep = useKeep();
  const [copy, setCopy] = useState<string | null>(null);
  const theirs = async () => onTheirs(await need(api.GET('/api/forms/{id}', { params: { path: { id } } })));
  const both = async () => {
    const title = `${mine.title} (my copy)`.slice(0, 200);
    const made = await begin.mutateAsync({ title });
    await keep.mutateAsync({ id: made.id, version: made.version, definition: { ...mine, title } });
    setCopy(title);
    await theirs();
  };
  const run = (work: () => Promise<void>) => () => {
    work().catch(() => undefined);
  };
  const error = begin.error ?? keep.error;
  return (
    <Trouble title="Somebody else saved this form meanwhile">
      Nothing was overwritten, and nothing of yours is lost: it stands here.{' '}
      <button type="button" className="link-button" onClick={run(both)} disabled={begin.isPending || copy !== null}>
        Save mine as a copy, and show theirs
      </button>{' '}
      <button type="button" className="link-button" onClick={run(theirs)}>
        Show theirs only
      </button>
      {error && ` ${error.message}`}
    </Trouble>
  );
}
