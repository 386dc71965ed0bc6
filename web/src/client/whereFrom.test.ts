import { afterEach, describe, expect, it, vi } from 'vitest';
import { addressOf, goTo, isEmbedded, whereFrom } from './whereFrom';

describe('where a form stands', () => {
  afterEach(() => {
    window.history.replaceState(null, '', '/');
    vi.restoreAllMocks();
    vi.unstubAllGlobals();
  });

  it('is its own page, with the campaign that its address names', () => {
    window.history.replaceState(null, '', '/f/inquiry?utm_source=letter&password=x');
    expect(isEmbedded()).toBe(false);
    expect(whereFrom()).toEqual({
      channel: 'page',
      page: `${window.location.origin}/f/inquiry?utm_source=letter&password=x`,
      campaign: { utm_source: 'letter' },
    });
    expect(addressOf('long')).toBe('/f/long');
    expect(addressOf('long', 'a:b.c')).toBe('/f/long?for=a%3Ab.c');
  });

  it('is a frame on another page, whose address says where and which campaign', () => {
    const page = 'https://school.example.com/pianos?utm_campaign=spring';
    window.history.replaceState(null, '', `/f/inquiry?embed=1&page=${encodeURIComponent(page)}`);
    expect(whereFrom()).toEqual({ channel: 'embed', page, campaign: { utm_campaign: 'spring' } });
    expect(addressOf('long')).toBe(`/f/long?embed=1&page=${encodeURIComponent(page)}`);
  });

  it('asks the page around the frame to go on', () => {
    window.history.replaceState(null, '', '/f/inquiry?embed=1');
    const postMessage = vi.fn();
    vi.stubGlobal('parent', { postMessage });
    goTo('https://example.com/thanks');
    expect(postMessage).toHaveBeenCalledWith({ telamon: 1, goTo: 'https://example.com/thanks' }, '*');
  });
});
