import { useSearchParams } from 'react-router';
import { ComingRows, Empty, Trouble } from '../../shared/Notice';
import { Pillars } from '../shell/Pillars';
import { Inquiry } from './Inquiry';
import { useInquiryForms, useSheet } from './queries';

/** An inquiry that came by phone, at the desk or by mail, written down in a form of the business. */
export function InquiryScreen() {
  const [search] = useSearchParams();
  const forms = useInquiryForms();
  const client = search.get('client') ?? '';
  const first = forms.data?.[0];
  // Whom it is from, where the page of a client led here: the name comes with the sheet.
  const known = useSheet(client ? (first?.value ?? '') : '', client);
  if (forms.data && first && (client === '' || known.data))
    return <Inquiry key={client} forms={forms.data} from={client ? (known.data?.client ?? null) : null} />;
  return (
    <Pillars
      title="Inquiry"
      pillars={[
        {
          name: 'Inquiry',
          width: '1fr',
          content: (
            <>
              <div className="pillar-head">
                <h1>Inquiry</h1>
              </div>
              {forms.error || known.error ? (
                <Trouble title="Not loaded" again={() => void forms.refetch().then(() => known.refetch())}>
                  {(forms.error ?? known.error)?.message}
                </Trouble>
              ) : forms.data?.length === 0 ? (
                <Empty fact="No form is published.">Publish one under Forms; then it can be filled in here too.</Empty>
              ) : (
                <ComingRows rows={8} />
              )}
            </>
          ),
        },
      ]}
    />
  );
}
