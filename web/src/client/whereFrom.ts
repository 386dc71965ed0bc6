const CAMPAIGN = ['utm_source', 'utm_medium', 'utm_campaign', 'utm_term', 'utm_content'];

const parameters = () => new URLSearchParams(window.location.search);

/** The link of somebody's own that a form was opened by; empty for none. */
export function personalLink(): string {
  return parameters().get('for') ?? '';
}

/** The page's address without that link, which is nobody else's business. */
function ownAddress(): string {
  const address = new URL(window.location.href);
  address.searchParams.delete('for');
  return address.href;
}

/** Whether the form stands in a frame on another site. */
export function isEmbedded(): boolean {
  return parameters().has('embed');
}

/** The page that the form stands on, and the campaign that its address names. */
export function whereFrom(): { channel: 'page' | 'embed'; page: string; campaign: Record<string, string> } {
  const embedded = isEmbedded();
  const page = embedded ? (parameters().get('page') ?? document.referrer) : ownAddress();
  const named = embedded ? namedIn(page) : parameters();
  return {
    channel: embedded ? 'embed' : 'page',
    page: page.slice(0, 500),
    campaign: Object.fromEntries(CAMPAIGN.flatMap((name) => (named.get(name) ? [[name, named.get(name) ?? '']] : []))),
  };
}

function namedIn(address: string): URLSearchParams {
  try {
    return new URL(address).searchParams;
  } catch {
    return new URLSearchParams();
  }
}

/** The address of another form, in the same frame or page; by a link of somebody's own where there is one. */
export function addressOf(slug: string, link = ''): string {
  const page = parameters().get('page');
  const named = new URLSearchParams({
    ...(isEmbedded() ? { embed: '1', ...(page ? { page } : {}) } : {}),
    ...(link ? { for: link } : {}),
  }).toString();
  return `/f/${encodeURIComponent(slug)}${named ? `?${named}` : ''}`;
}

/** The same address, in the same frame or page. */
export function inFrame(address: string): string {
  return isEmbedded() ? `${address}${address.includes('?') ? '&' : '?'}embed=1` : address;
}

/** Tells the page around the frame something; it checks who speaks. */
function tell(message: Record<string, string | number>): void {
  if (isEmbedded() && window.parent !== window) window.parent.postMessage({ telamon: 1, ...message }, '*');
}

/** Goes to another address: the page around the frame goes there, where there is one. */
export function goTo(address: string): void {
  if (isEmbedded() && window.parent !== window) tell({ goTo: address });
  else window.location.assign(address);
}

/** Keeps the frame as high as its content. */
export function growWithContent(): () => void {
  if (!isEmbedded()) return () => undefined;
  // The content's own height: that of the page is never less than the frame's, which would then never shrink again.
  const content = document.getElementById('root') ?? document.body;
  const watching = new ResizeObserver(() => tell({ height: Math.ceil(content.getBoundingClientRect().height) + 1 }));
  watching.observe(content);
  return () => watching.disconnect();
}
