import { QRCodeSVG } from 'qrcode.react';
import { useRef } from 'react';
import { useToast } from '../shell/Toast';
import type { DesignedForm } from './queries';

/** How people come to a form: its address, a code to scan, and a snippet for another site. */
export function Share({ form }: { form: DesignedForm }) {
  const toast = useToast();
  const code = useRef<HTMLDivElement>(null);
  const address = `${window.location.origin}/f/${form.slug}`;
  const snippet = `<script async src="${window.location.origin}/embed.js" data-form="${form.slug}"></script>`;
  const copy = (text: string, words: string) =>
    navigator.clipboard.writeText(text).then(
      () => toast({ words }),
      () => toast({ words: 'The browser did not let it be copied. Choose the text and copy it by hand.' }),
    );
  const saveCode = () => {
    const drawing = code.current?.querySelector('svg');
    if (!drawing) return;
    const link = document.createElement('a');
    link.href = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(new XMLSerializer().serializeToString(drawing))}`;
    link.download = `${form.slug}.svg`;
    link.click();
  };
  return (
    <section className="share">
      <h3 className="group-label">How people come to it</h3>
      <div className="code">
        <div ref={code}>
          <QRCodeSVG
            value={address}
            size={96}
            bgColor="#FFFEFB"
            fgColor="#21262B"
            title={`Code to scan for ${form.title}`}
          />
        </div>
        <p>
          <a href={address} target="_blank" rel="noreferrer">
            {address.replace(/^https?:\/\//, '')}
          </a>
          <br />
          <button type="button" className="link-button" onClick={() => void copy(address, 'The address is copied.')}>
            Copy the address
          </button>
          <br />
          <button type="button" className="link-button" onClick={saveCode}>
            Save the code
          </button>
        </p>
      </div>
      <label className="second" htmlFor="embed-snippet">
        For another site{form.settings.sites.length === 0 && ', once it is listed above'}
      </label>
      <textarea id="embed-snippet" rows={3} readOnly value={snippet} onFocus={(event) => event.target.select()} />
      <button type="button" className="link-button" onClick={() => void copy(snippet, 'The snippet is copied.')}>
        Copy the snippet
      </button>
    </section>
  );
}
