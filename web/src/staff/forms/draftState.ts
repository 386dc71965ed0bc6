import { useCallback, useEffect, useRef, useState } from 'react';
import { ProblemError } from '../../shared/api';
import { complete, type Definition } from './design';
import { useKeep, type DesignedForm } from './queries';

const most = 200;

/**
 * The definition being designed: changed at once, kept on the server a moment after the last change, with
 * undo and redo. When somebody else has kept another draft meanwhile, nothing is overwritten: it says so.
 */
export function useDraft(form: DesignedForm) {
  const [definition, setDefinition] = useState(() => complete(form.definition));
  const [past, setPast] = useState<Definition[]>([]);
  const [future, setFuture] = useState<Definition[]>([]);
  const keep = useKeep();
  const version = useRef(form.version);
  const kept = useRef(definition);
  const [keptNow, setKeptNow] = useState(definition);
  const flight = useRef<Promise<void> | null>(null);
  const { mutateAsync } = keep;

  const save = useCallback(
    async (wanted: Definition): Promise<void> => {
      // One call at a time: the next needs the version that the one before gives.
      await flight.current?.catch(() => undefined);
      if (wanted === kept.current) return;
      flight.current = mutateAsync({ id: form.id, version: version.current, definition: wanted }).then((answer) => {
        version.current = answer.version;
        kept.current = wanted;
        setKeptNow(wanted);
      });
      await flight.current;
    },
    [form.id, mutateAsync],
  );

  useEffect(() => {
    if (definition === kept.current) return undefined;
    const timer = setTimeout(() => {
      // A failure is told by the state of the call; the next change tries again.
      save(definition).catch(() => undefined);
    }, 600);
    return () => clearTimeout(timer);
  }, [definition, save]);

  useEffect(() => {
    const warn = (event: BeforeUnloadEvent) => {
      if (definition !== kept.current) event.preventDefault();
    };
    window.addEventListener('beforeunload', warn);
    return () => window.removeEventListener('beforeunload', warn);
  }, [definition]);

  const change = (next: Definition) => {
    setPast((all) => [...all.slice(-most), definition]);
    setFuture([]);
    setDefinition(next);
  };
  return {
    definition,
    change,
    undo:
      past.length === 0
        ? undefined
        : () => {
            const before = past.at(-1);
            if (!before) return;
            setPast(past.slice(0, -1));
            setFuture([definition, ...future]);
            setDefinition(before);
          },
    redo:
      future.length === 0
        ? undefined
        : () => {
            const [after, ...rest] = future;
            if (!after) return;
            setPast([...past, definition]);
            setFuture(rest);
            setDefinition(after);
          },
    /** Keeps what is not kept yet; resolves to the version then. */
    settle: async (): Promise<number> => {
      await save(definition);
      return version.current;
    },
    isKept: definition === keptNow,
    overtaken: keep.error instanceof ProblemError && keep.error.status === 409,
    trouble: keep.error,
  };
}
