import { FactList, type Fact } from '../shell/FactList';
import { useChangeText, type Setup } from './queries';

type Text = Setup['texts'][number];
type Edit = Omit<Parameters<ReturnType<typeof useChangeText>['mutateAsync']>[0], 'id'>;

/** The text of a mail: what it says, and what it may name. */
export function TextPane({ text }: { text: Text }) {
  const edit = useChangeText();
  const fact = (key: 'name' | 'subject' | 'body', label: string): Fact<Edit> => ({
    key,
    label,
    shown: text[key],
    fields: [{ key, label, value: text[key], kind: key === 'body' ? 'long' : 'text' }],
    edit: (values) => ({ [key]: values[key] ?? '' }),
  });
  return (
    <>
      <FactList
        name={`setup.text.${text.id}`}
        title={text.name}
        canEdit
        facts={[fact('name', 'Name'), fact('subject', 'Subject'), fact('body', 'Text')]}
        saving={edit}
        save={(part) => edit.mutateAsync({ id: text.id, ...part })}
      />
      <h3 className="group-label">It may name</h3>
      <p className="second merge-names">
        {text.fields.map((field) => (
          <code key={field}>{`{{${field}}}`}</code>
        ))}
      </p>
      <p className="second">Mails that wait already keep their words; the next ones say it anew.</p>
    </>
  );
}
