import { lazy, Suspense, type ComponentProps } from 'react';
import type { LineEditor } from './LineEditor';

const Editor = lazy(async () => ({ default: (await import('./LineEditor')).LineEditor }));

/** The editor of a line, fetched when the first line is edited: a plan that is only read does without. */
export function EditLine(props: ComponentProps<typeof LineEditor>) {
  return (
    <Suspense fallback={null}>
      <Editor {...props} />
    </Suspense>
  );
}
