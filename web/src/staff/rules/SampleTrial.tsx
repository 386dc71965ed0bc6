import Dialog from '@mui/material/Dialog';
import { useForm, useWatch } from 'react-hook-form';
import { collected, shownPages } from '../../form/answers';
import { kinds } from '../../form/kinds';
import { usePublicForm } from '../../form/publicForm';
import type { Answers } from '../../form/types';
import { ComingRows, Trouble } from '../../shared/Notice';
import { TriedAnswers } from '../definition/TriedAnswers';
import { Slab } from '../shell/Slab';
import { Both } from './Both';
import { useDryRun, type Sample } from './queries';
import { draft, type Editing } from './rule';

interface Props {
  rule: Editing;
  slug: string;
  onClose: () => void;
}

/** A rule tried on answers that nobody has sent. */
export function SampleTrial({ rule, slug, onClose }: Props) {
  const form = usePublicForm(slug);
  const fields = useForm<Answers>();
  const { control, getValues } = fields;
  const answers: Answers = useWatch({ control });
  const run = useDryRun();
  const shown = form.data ? shownPages(form.data, answers).flatMap((page) => page.questions) : [];
  const go = () => {
    const asked = shown.filter((question) => kinds[question.type].canTry);
    run.mutate({
      rule: draft(rule),
      sample: { form: slug, answers: collected(asked, getValues()) as Sample['answers'] },
    });
  };
  return (
    <Dialog open onClose={onClose} maxWidth="lg" fullWidth aria-labelledby="sample-title">
      <Slab
        titleId="sample-title"
        title={`Try ${rule.name || 'the rule'} on a sample`}
        blocks={[
          { label: 'Show both plans', act: go, main: true, disabled: run.isPending || !form.data },
          { label: 'Close', shown: 'Esc', act: onClose },
        ]}
      >
        <div className="try">
          {form.data ? (
            <TriedAnswers form={form.data} shown={shown} answers={answers} fields={fields} faults={[]} />
          ) : form.error ? (
            <Trouble title="Not loaded">{form.error.message}</Trouble>
          ) : (
            <ComingRows rows={6} />
          )}
          <div>
            {run.error && <Trouble title="Not tried">{run.error.message}</Trouble>}
            {run.data ? (
              <Both run={run.data} />
            ) : (
              <p className="second">
                Fill in what matters, then show both plans. Nothing is saved, and nothing is sent.
              </p>
            )}
          </div>
        </div>
      </Slab>
    </Dialog>
  );
}
