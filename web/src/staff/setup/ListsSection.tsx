import { FactList, type Fact } from '../shell/FactList';
import { useLists, type Setup } from './queries';

type Edit = Parameters<ReturnType<typeof useLists>['mutateAsync']>[0];
const lines = (text = '') => text.split('\n').filter((line) => line.trim() !== '');

/** What is offered where somebody says where work came from, or why it was lost. */
export function ListsSection({ setup }: { setup: Setup }) {
  const edit = useLists();
  const fact = (key: 'sources' | 'lostReasons' | 'asideReasons', label: string): Fact<Edit> => ({
    key,
    label,
    shown: setup[key].join(', '),
    fields: [{ key, label: `${label}, one a line`, value: setup[key].join('\n'), kind: 'long' }],
    edit: (values) => ({ [key]: lines(values[key]) }),
  });
  return (
    <FactList
      name="setup.lists"
      title="Sources and reasons"
      canEdit
      facts={[
        fact('sources', 'Work comes from'),
        fact('lostReasons', 'Lost because'),
        fact('asideReasons', 'Set aside because'),
      ]}
      saving={edit}
      save={(part) => edit.mutateAsync(part)}
    />
  );
}
