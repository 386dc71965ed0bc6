import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useUploads, type KeptFile } from './uploads';

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

function start(maxFiles = 3) {
  return renderHook(() => {
    const [files, setFiles] = useState<KeptFile[]>([]);
    return { files, ...useUploads(files, setFiles, { maxFiles, maxBytes: 1000 }) };
  });
}

function photograph(name: string, size = 10): File {
  return new File([new Uint8Array(size)], name, { type: 'image/jpeg' });
}

const kept: KeptFile = { id: 'abc', name: 'a.jpg', size: 10, type: 'image/jpeg' };

describe('files on their way', () => {
  beforeEach(() => {
    FakeRequest.all = [];
    vi.stubGlobal('XMLHttpRequest', FakeRequest);
    URL.createObjectURL = () => 'blob:x';
  });
  afterEach(() => {
    cleanup();
    vi.unstubAllGlobals();
  });

  it('tell how far they have come, and arrive', async () => {
    const { result } = start();
    act(() => result.current.add([photograph('a.jpg')]));
    act(() => FakeRequest.all[0]?.upload.onprogress?.({ loaded: 62, total: 100 }));
    expect(result.current.going[0]?.sent).toBe(0.62);
    act(() => FakeRequest.all[0]?.answer(201, kept));
    await waitFor(() => expect(result.current.files).toEqual([kept]));
    expect(result.current.going).toEqual([]);
  });

  it('can be tried again after a failure', async () => {
    const { result } = start();
    act(() => result.current.add([photograph('a.jpg')]));
    act(() => FakeRequest.all[0]?.onerror?.());
    await waitFor(() => expect(result.current.going[0]?.error).toContain('cannot be reached'));
    act(() => result.current.retry(result.current.going[0]?.local ?? 0));
    act(() => FakeRequest.all[1]?.answer(201, kept));
    await waitFor(() => expect(result.current.files).toEqual([kept]));
  });

  it('say what the server said of them', async () => {
    const { result } = start();
    act(() => result.current.add([photograph('a.jpg')]));
    act(() => FakeRequest.all[0]?.answer(415, { detail: 'This is something else.' }));
    await waitFor(() => expect(result.current.going[0]?.error).toBe('This is something else.'));
  });

  it('are not sent when they are too large', () => {
    const { result } = start();
    act(() => result.current.add([photograph('large.jpg', 2000)]));
    expect(FakeRequest.all).toHaveLength(0);
    expect(result.current.going[0]?.error).toContain('more than');
    act(() => result.current.drop(result.current.going[0]?.local ?? 0));
    expect(result.current.going).toEqual([]);
  });

  it('are stopped when taken out', () => {
    const { result } = start();
    act(() => result.current.add([photograph('a.jpg')]));
    const stopped = vi.fn();
    const request = FakeRequest.all[0];
    if (request) request.onabort = stopped;
    act(() => result.current.drop(result.current.going[0]?.local ?? 0));
    expect(stopped).toHaveBeenCalled();
    expect(result.current.going).toEqual([]);
  });

  it('are only as many as fit', () => {
    const { result } = start(2);
    act(() => result.current.add([photograph('a.jpg'), photograph('b.jpg'), photograph('c.jpg')]));
    expect(result.current.going).toHaveLength(2);
    expect(result.current.refusal).toBe('At most 2 files fit here.');
  });
});
