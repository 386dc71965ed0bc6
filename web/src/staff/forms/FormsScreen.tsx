import { useState } from 'react';
import { Navigate, useNavigate, useParams } from 'react-router';
import { ProblemError } from '../../shared/api';
import { ComingRows, Empty, Trouble } from '../../shared/Notice';
import { Pillars } from '../shell/Pillars';
import { NotFound } from '../shell/Plain';
import '../shell/side-list.css';
import '../shell/sheet.css';
import { FormList } from './FormList';
import '../definition/forms.css';
import { useForm, useForms, useKinds } from './queries';
import { Designer } from './Designer';

// What draws questions as the public sees them comes behind the designer itself.

export function FormsScreen() {
  const { id } = useParams();
  const forms = useForms();
  const form = useForm(id);
  const kinds = useKinds();
  const navigate = useNavigate();
  const [beginning, setBeginning] = useState(false);
  const first = forms.data?.[0];
  if (id === undefined && first) return <Navigate to={`/forms/${first.id}`} replace />;
  if (form.error instanceof ProblemError && form.error.status === 404) return <NotFound what="form" />;
  const begun = (to: string) => {
    setBeginning(false);
    void navigate(`/forms/${to}`);
  };
  if (form.data && kinds.data)
    return (
      <Designer
        key={form.data.id}
        known={kinds.data}
        form={form.data}
        beginning={beginning}
        onBegin={setBeginning}
        onBegun={begun}
      />
    );
  return (
    <Pillars
      title="Forms"
      pillars={[
        {
          name: 'Forms',
          width: '236px',
          content: (
            <FormList
              form={undefined}
              beginning={beginning || forms.data?.length === 0}
              onBegun={begun}
              onLeave={() => setBeginning(false)}
            />
          ),
        },
        {
          name: 'Sheet',
          sheet: true,
          width: '1fr',
          content:
            (form.error ?? kinds.error) ? (
              <Trouble title="Not loaded" again={() => void Promise.all([form.refetch(), kinds.refetch()])}>
                {(form.error ?? kinds.error)?.message}
              </Trouble>
            ) : forms.data?.length === 0 ? (
              <Empty fact="No forms yet.">Begin one at the left, from a starter or with three questions.</Empty>
            ) : (
              <ComingRows rows={9} />
            ),
        },
      ]}
    />
  );
}
