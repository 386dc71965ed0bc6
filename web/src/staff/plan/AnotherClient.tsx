import { lazy, Suspense, useState } from 'react';

const ClientFinder = lazy(async () => ({ default: (await import('../people/ClientFinder')).ClientFinder }));

/** Whoever it is from may be somebody whom matching did not offer: found by typing. */
export function AnotherClient({ onChoose }: { onChoose: (id: string) => void }) {
  const [finding, setFinding] = useState(false);
  return (
    <div className="line-more another-client">
      {finding ? (
        <Suspense fallback={null}>
          <ClientFinder
            label="Another client on file"
            autoFocus
            onClose={() => setFinding(false)}
            onChoose={(client) => {
              setFinding(false);
              onChoose(client.id);
            }}
          />
        </Suspense>
      ) : (
        <button type="button" className="link-button" onClick={() => setFinding(true)}>
          Another client…
        </button>
      )}
    </div>
  );
}
