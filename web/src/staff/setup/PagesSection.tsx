import { useRef } from 'react';
import Button from '@mui/material/Button';
import { FactList, type Fact } from '../shell/FactList';
import { useToast } from '../shell/Toast';
import { useBusiness, useLogo, type Setup } from './queries';

type Edit = Parameters<ReturnType<typeof useBusiness>['mutateAsync']>[0];

/** How the public pages look: their colour, and the picture at their head. */
export function PagesSection({ business }: { business: Setup['business'] }) {
  const edit = useBusiness();
  const logo = useLogo();
  const toast = useToast();
  const picker = useRef<HTMLInputElement>(null);
  const send = (file: File | null) =>
    logo.mutate(file, {
      onSuccess: () => toast({ words: `${file ? 'Logo saved' : 'Logo removed'}. U takes it back.` }),
    });
  const colour: Fact<Edit> = {
    key: 'accent',
    label: 'Colour',
    shown: business.accent || 'the usual sea green',
    fields: [
      {
        key: 'accent',
        label: 'Colour of links and buttons',
        value: business.accent,
        hint: 'Like #7A2E4D; empty for the usual one. It has to be dark enough to read.',
      },
    ],
    edit: ({ accent = '' }) => ({ accent }),
  };
  return (
    <FactList
      name="setup.pages"
      title="Public pages"
      canEdit
      facts={[colour]}
      saving={edit}
      save={(part) => edit.mutateAsync(part)}
    >
      <div>
        <dt>Looks like</dt>
        <dd className="setup-logo">
          <span className="page-sample" style={business.accent ? { background: business.accent } : undefined}>
            Next
          </span>
          <span className="link-sample" style={business.accent ? { color: business.accent } : undefined}>
            a link
          </span>
        </dd>
      </div>
      <div>
        <dt>Logo</dt>
        <dd className="setup-logo">
          {business.logo ? (
            <img src={`/api/public/logo/${business.logo}`} alt={`Logo of ${business.name}`} />
          ) : (
            <span className="second">none: the name stands there</span>
          )}
          <input
            ref={picker}
            type="file"
            className="unseen"
            aria-label="Choose a logo"
            accept="image/png,image/jpeg,image/webp,image/gif"
            tabIndex={-1}
            onChange={(event) => {
              const file = event.target.files?.[0];
              event.target.value = '';
              if (file) send(file);
            }}
          />
          <span className="fact-does">
            <Button size="small" variant="outlined" disabled={logo.isPending} onClick={() => picker.current?.click()}>
              {business.logo ? 'Replace' : 'Choose a picture'}
            </Button>
            {business.logo && (
              <Button size="small" variant="outlined" disabled={logo.isPending} onClick={() => send(null)}>
                Remove
              </Button>
            )}
          </span>
          {logo.error && <p role="alert">{logo.error.message}</p>}
        </dd>
      </div>
    </FactList>
  );
}
