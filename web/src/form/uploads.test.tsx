import { waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { keptFiles, unfinishedFiles, Uploads } from './uploads';

class FakeRequest {
  static all: FakeRequest[] = [];
  upload: { onprogress?: (event: { loaded: number; total: number }) => void } = {};
  onload?: () => void;
  onerror?: () => void;
  onabort?: () => void;
  status = 0;
  responseText = '';
  open = vi.fn();
  send = vi.fn();
  abort = () => this.onabort?.();

  constructor() {
    FakeRequest.all.push(this);
  }

  answer(status: number, body: unknown) {
    this.status = status;
    this.responseText = JSON.stringify(body);
    this.onload?.();
  }
}

const limits = { maxFiles: 8, maxBytes: 1000 };

function photograph(name: string, size = 10): File {
  return new File([new Uint8Array(size)], name, { type: 'image/jpeg' });
}

function keptAs(name: string) {
  return { id: `id-${name}`, name, size: 10, type: 'image/jpeg' };
}

function states(uploads: Uploads): string[] {
  return Object.values(uploads.all())
    .flat()
    .map((file) => `${file.name} ${file.state}`);
}

async function asked(times: number): Promise<FakeRequest[]> {
  await waitFor(() => expect(FakeRequest.all.length).toBeGreaterThanOrEqual(times));
  return FakeRequest.all;
}

describe('the files of a form', () => {
  beforeEach(() => {
    FakeRequest.all = [];
    vi.stubGlobal('XMLHttpRequest', FakeRequest);
  });
  afterEach(() => vi.unstubAllGlobals());

  it('all arrive, eight chosen at once, whatever order they come back in', async () => {
    const uploads = new Uploads();
    const names = Array.from({ length: 8 }, (_, i) => `${i}.jpg`);
    uploads.add(
      'photos',
      names.map((name) => photograph(name)),
      limits,
    );
    for (let done = 0; done < 8; done += 2) {
      const [first, second] = (await asked(done + 2)).slice(done);
      second?.answer(201, keptAs(names[done + 1] ?? ''));
      first?.answer(201, keptAs(names[done] ?? ''));
    }
    await waitFor(() => expect(keptFiles(uploads.all()).photos?.map((file) => file.name)).toEqual(names));
    expect(unfinishedFiles(uploads.all()).photos).toEqual([]);
  });

  it('go a few at a time, and say how far they have come', async () => {
    const uploads = new Uploads();
    uploads.add(
      'photos',
      ['a', 'b', 'c'].map((name) => photograph(name)),
      limits,
    );
    const [first] = await asked(2);
    expect(FakeRequest.all).toHaveLength(2);
    expect(states(uploads)).toEqual(['a sending', 'b sending', 'c waiting']);
    first?.upload.onprogress?.({ loaded: 62, total: 100 });
    expect(uploads.all().photos?.[0]?.sent).toBe(0.62);
    first?.answer(201, keptAs('a'));
    await asked(3);
    expect(states(uploads)).toEqual(['a kept', 'b sending', 'c sending']);
  });

  it('can be tried again after a failure, and say what the server said', async () => {
    const uploads = new Uploads();
    uploads.add('photos', [photograph('a'), photograph('b')], limits);
    const [first, second] = await asked(2);
    first?.onerror?.();
    second?.answer(415, { detail: 'This is something else.' });
    await waitFor(() => expect(states(uploads)).toEqual(['a failed', 'b failed']));
    expect(uploads.all().photos?.[0]?.error).toContain('cannot be reached');
    expect(uploads.all().photos?.[1]?.error).toBe('This is something else.');
    expect(unfinishedFiles(uploads.all()).photos).toEqual(['a', 'b']);
    uploads.retry(uploads.all().photos?.[0]?.local ?? 0);
    (await asked(3))[2]?.answer(201, keptAs('a'));
    await waitFor(() => expect(states(uploads)).toEqual(['a kept', 'b failed']));
  });

  it('are not sent when they are too large, and make room when they are removed', async () => {
    const uploads = new Uploads();
    uploads.add('papers', [new File([new Uint8Array(2000)], 'large.pdf', { type: 'application/pdf' })], limits);
    await waitFor(() => expect(states(uploads)).toEqual(['large.pdf failed']));
    expect(FakeRequest.all).toHaveLength(0);
    expect(uploads.all().papers?.[0]?.canRetry).toBe(false);
    uploads.remove(uploads.all().papers?.[0]?.local ?? 0);
    expect(states(uploads)).toEqual([]);
  });

  it('are stopped when they are removed on their way, and the next one goes', async () => {
    const uploads = new Uploads();
    uploads.add(
      'photos',
      ['a', 'b', 'c'].map((name) => photograph(name)),
      limits,
    );
    await asked(2);
    uploads.remove(uploads.all().photos?.[0]?.local ?? 0);
    await asked(3);
    expect(states(uploads)).toEqual(['b sending', 'c sending']);
  });

  it('are only as many as fit, and those that are left out are named', () => {
    const uploads = new Uploads();
    const said = uploads.add(
      'photos',
      ['a', 'b', 'c'].map((name) => photograph(name)),
      { ...limits, maxFiles: 2 },
    );
    expect(said).toBe('At most 2 files fit here. Not added: c.');
    expect(uploads.all().photos).toHaveLength(2);
  });

  it('that had not gone through before the page was closed are named, and never taken for sent', () => {
    const uploads = new Uploads({ photos: [keptAs('a')] }, { photos: ['b'] });
    expect(states(uploads)).toEqual(['a kept', 'b failed']);
    expect(uploads.all().photos?.[1]?.canRetry).toBe(false);
    expect(keptFiles(uploads.all()).photos).toEqual([keptAs('a')]);
  });
});
