import { Trouble } from '../../shared/Notice';
import { useToast } from '../shell/Toast';
import { useTemplateActs, useTemplates } from './queries';

/** The templates there are. They are made from a quote, and chosen where one is written. */
export function TemplatesKept() {
  const templates = useTemplates();
  const { remove } = useTemplateActs();
  const toast = useToast();
  const items = templates.data?.items ?? [];
  return (
    <section aria-label="Templates">
      <h3>Templates</h3>
      {templates.error && (
        <Trouble title="Not loaded" again={() => void templates.refetch()}>
          {templates.error.message}
        </Trouble>
      )}
      {templates.data && items.length === 0 && (
        <p className="second">None yet. Open a quote that is as it should be, and keep it as a template.</p>
      )}
      <ul className="rows lines">
        {items.map((one) => (
          <li key={one.id}>
            <span className="line-top">
              {one.name}
              <small>
                {one.lines} {one.lines === 1 ? 'line' : 'lines'}
              </small>
              <button
                type="button"
                className="link-button"
                aria-label={`Remove ${one.name}`}
                disabled={remove.isPending}
                onClick={() =>
                  remove.mutate(one.id, {
                    onSuccess: () => toast({ words: `${one.name} is no template any more. U brings it back.` }),
                    onError: (error) => toast({ words: error.message }),
                  })
                }
              >
                Remove
              </button>
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
