import Dialog from '@mui/material/Dialog';
import { useForm, useWatch } from 'react-hook-form';
import { collected, shownPages } from '../../form/answers';
import { kinds } from '../../form/kinds';
import type { Answers } from '../../form/types';
import { ProblemError } from '../../shared/api';
import { Trouble } from '../../shared/Notice';
import { PlanView } from '../plan/PlanView';
import { Slab } from '../shell/Slab';
import { type Definition } from '../definition/design';
import { asPublic } from '../definition/asPublic';
import { useTry } from './queries';
import { TriedAnswers } from '../definition/TriedAnswers';

interface Props {
  id: string;
  definition: Definition;
  today: string;
  onClose: () => void;
}

/** The whole form to fill in, and the plan that it would give. Nothing is saved, nothing is sent. */
export function TryIt({ id, definition, today, onClose }: Props) {
  const form = asPublic(definition, today);
  const fields = useForm<Answers>();
  const { control, getValues } = fields;
  const attempt = useTry(id);
  const answers: Answers = useWatch({ control });
  const shown = shownPages(form, answers).flatMap((page) => page.questions);
  const faults = attempt.error instanceof ProblemError ? attempt.error.violations : [];
  const go = () => {
    const sent = collected(
      shown.filter((question) => kinds[question.type].canTry),
      getValues(),
    );
    attempt.mutate(sent);
  };
  return (
    <Dialog open onClose={onClose} maxWidth="lg" fullWidth aria-labelledby="try-title">
      <Slab
        titleId="try-title"
        title={`Try ${definition.title}`}
        blocks={[
          { label: 'Show the plan', act: go, main: true, disabled: attempt.isPending },
          { label: 'Close', shown: 'Esc', act: onClose },
        ]}
      >
        <div className="try">
          <TriedAnswers form={form} shown={shown} answers={answers} fields={fields} faults={faults} />
          <div>
            {attempt.error && faults.every((fault) => !shown.some((question) => question.key === fault.path)) && (
              <Trouble title="No plan">{attempt.error.message}</Trouble>
            )}
            {attempt.data ? (
              <PlanView plan={attempt.data} onDecide={() => undefined} />
            ) : (
              <p className="second">
                Fill in what you like, then show the plan. Nothing is saved, and nothing is sent.
              </p>
            )}
          </div>
        </div>
      </Slab>
    </Dialog>
  );
}
