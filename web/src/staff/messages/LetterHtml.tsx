/**
 * A letter as its reader gets it. The HTML is made by the server out of checked nodes, every word escaped; links are
 * for looking at.
 */
export function LetterHtml({ html, text }: { html: string; text: string }) {
  if (html === '') return <div className="letter serif letter-text">{text}</div>;
  return (
    <div
      className="letter serif letter-html"
      onClick={(event) => {
        if (event.target instanceof Element && event.target.closest('a')) event.preventDefault();
      }}
      // A picture goes inside the mail (RFC 2392); here it is shown from where it is kept.
      dangerouslySetInnerHTML={{ __html: html.replace(/src="cid:([0-9a-f-]{36})"/g, 'src="/api/files/$1"') }}
    />
  );
}
