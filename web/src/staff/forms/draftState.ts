import { useCallback, useEffect, useRef, useState } from 'react';
import { ProblemError } from '../../shared/api';
import { forgetUnsaved, isUnsaved, useUnsaved } from '../shell/useUnsaved';
import { complete, type Definition } from '../definition/design';
import { useKeep, type DesignedForm } from './queries';

const most = 200;
const pause = 600;
const longestWait = 30_000;

interface Typed {
  /** The version of the draft that it was typed over. */
  version: number;
  definition: Definition;
}

/**
 * The definition being designed: changed at once, kept in this browser with every key and on the server a moment later,
 * with undo and redo. Leaving saves what is left; a server that cannot be reached is tried again until it can. When
 * somebody else has saved another draft meanwhile, nothing is overwritten: both are offered.
 */
export function useDraft(form: DesignedForm) {
  const name = `form.${form.id}`;
  const [typed, keepTyped, forgetTyped] = useUnsaved<Typed | null>(name, null, 'here');
  const [definition, setDefinition] = useState<Definition>(() => typed?.definition ?? complete(form.definition));
  const [past, setPast] = useState<Definition[]>([]);
  const [future, setFuture] = useState<Definition[]>([]);
  const keep = useKeep();
  const version = useRef(typed?.version ?? form.version);
  const [first] = useState(() => complete(form.definition));
  const [keptNow, setKeptNow] = useState(typed ? first : definition);
  const kept = useRef(keptNow);
  const flight = useRef<Promise<void> | null>(null);
  const latest = useRef(definition);
  const [trouble, setTrouble] = useState<Error | null>(null);
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
        setTrouble(null);
        if (latest.current === wanted) forgetUnsaved(name);
      });
      await flight.current;
    },
    [form.id, mutateAsync, name],
  );

  useEffect(() => {
    latest.current = definition;
    if (definition === kept.current) return undefined;
    let wait = pause;
    let timer: ReturnType<typeof setTimeout>;
    const attempt = () => {
      save(definition).catch((error: unknown) => {
        setTrouble(error instanceof Error ? error : new Error('It could not be saved.'));
        // What the server refuses is refused again; what did not reach it is tried until it does.
        if (error instanceof ProblemError && error.status >= 400 && error.status < 500) return;
        wait = Math.min(longestWait, wait * 2);
        timer = setTimeout(attempt, wait);
      });
    };
    timer = setTimeout(attempt, pause);
    const online = () => {
      clearTimeout(timer);
      attempt();
    };
    window.addEventListener('online', online);
    return () => {
      clearTimeout(timer);
      window.removeEventListener('online', online);
    };
  }, [definition, save]);

  // Leaving the form or the screen within that moment: what is left goes now.
  const flush = useRef(save);
  useEffect(() => {
    flush.current = save;
  });
  useEffect(
    () => () => {
      if (latest.current !== kept.current) flush.current(latest.current).catch(() => undefined);
    },
    [],
  );

  const set = (next: Definition) => {
    latest.current = next;
    setDefinition(next);
    keepTyped({ version: version.current, definition: next });
  };
  const change = (next: Definition) => {
    setPast((all) => [...all.slice(-most), definition]);
    setFuture([]);
    set(next);
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
            set(before);
          },
    redo:
      future.length === 0
        ? undefined
        : () => {
            const [after, ...rest] = future;
            if (!after) return;
            setPast([...past, definition]);
            setFuture(rest);
            set(after);
          },
    /** Keeps what is not kept yet; resolves to the version then. */
    settle: async (): Promise<number> => {
      await save(definition);
      return version.current;
    },
    isKept: definition === keptNow,
    overtaken: trouble instanceof ProblemError && trouble.status === 409,
    trouble,
    /** Takes what somebody else saved in the place of what stands here. */
    takeTheirs: (theirs: DesignedForm) => {
      const other = complete(theirs.definition);
      version.current = theirs.version;
      kept.current = other;
      latest.current = other;
      setKeptNow(other);
      setTrouble(null);
      setPast((all) => [...all.slice(-most), definition]);
      setDefinition(other);
      forgetTyped();
    },
    /** Whether something typed earlier in this browser was found, and not saved then. */
    wasUnsaved: typed !== null && isUnsaved(name),
  };
}
