import { useToast } from '../../shell/Toast';
import { useFollowUpAct } from './queries';

/** Ends a follow-up with somebody. */
export function StopRun({ run, name }: { run: string; name: string }) {
  const act = useFollowUpAct();
  const toast = useToast();
  return (
    <button
      type="button"
      className="link-button"
      disabled={act.isPending}
      onClick={() =>
        act.mutate(
          { what: 'stop', run },
          {
            onSuccess: () => toast({ words: `Stopped with ${name}. U takes it back.` }),
            onError: (error) => toast({ words: error.message }),
          },
        )
      }
    >
      Stop
    </button>
  );
}
