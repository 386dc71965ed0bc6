import { useDay } from '../shell/day';
import { useToast } from '../shell/Toast';
import type { Acting } from './acting';
import { AsidePanel } from './AsidePanel';
import { HandlingPanel } from './HandlingPanel';
import { useSetAside, useTakeBack, type AsideReason } from './queries';

interface Props {
  acting: Acting;
  /** The arrival that is on the screen; where it goes out of the way the next one comes. */
  open: string;
  onLeave: () => void;
}

/** Asks what an act still needs: a reason, somebody, a time, the words of a note. */
export function AskedPanel({ acting, open, onLeave }: Props) {
  const now = useDay().data?.now ?? new Date().toISOString();
  const setAside = useSetAside();
  const takeBack = useTakeBack();
  const toast = useToast();
  const asked = acting.asked;
  if (!asked) return null;
  // By the arrival and not by what people are called: two of one name are two.
  const draft = asked.ids.length === 1 ? (asked.ids[0] ?? '') : 'several';
  if (asked.what !== 'aside')
    return (
      <HandlingPanel
        key={asked.what}
        kind={asked.what}
        name={asked.name}
        draft={draft}
        now={now}
        error={acting.error}
        onAct={acting.act}
        onCancel={acting.leaveIt}
      />
    );
  const only = asked.ids.length === 1 ? asked.ids[0] : undefined;
  const putAside = (reason: AsideReason, note: string, duplicateOf: string) => {
    if (setAside.isPending) return;
    if (only === undefined) {
      acting.act({ act: 'set-aside', reason, note });
      return;
    }
    setAside.mutate(
      { id: only, reason, note, duplicateOf },
      {
        onSuccess: () => {
          acting.leaveIt();
          toast({
            words: `${asked.name} set aside`,
            action: { label: 'Undo', shown: 'U', act: () => takeBack.mutate({ id: only }) },
          });
          if (only === open) onLeave();
        },
      },
    );
  };
  return (
    <AsidePanel
      name={asked.name}
      draft={draft}
      one={only !== undefined}
      onChoose={putAside}
      onCancel={acting.leaveIt}
      error={setAside.error?.message ?? acting.error}
    />
  );
}
