import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { PendingPhoto } from './pending';

const kept = new Map<string, PendingPhoto>();
vi.mock('idb-keyval', () => ({
  createStore: () => undefined,
  entries: () => Promise.resolve([...kept.entries()]),
  get: (id: string) => Promise.resolve(kept.get(id)),
  set: (id: string, photo: PendingPhoto) => {
    kept.set(id, photo);
    return Promise.resolve();
  },
  del: (id: string) => {
    kept.delete(id);
    return Promise.resolve();
  },
}));
const page = new EventTarget();
vi.stubGlobal('window', Object.assign(page, { location: { origin: 'http://127.0.0.1' } }));
vi.stubGlobal('document', { cookie: '', documentElement: { lang: 'en' } });
vi.stubGlobal('localStorage', { getItem: () => null });
const fetched = vi.fn<(path: string) => Promise<Response>>();
vi.stubGlobal('fetch', fetched);

const { keepPhoto, photoAgain, sendPhotos } = await import('./pending');

function photo(id: string, visit: string): PendingPhoto {
  const picture = new Blob(['picture'], { type: 'image/jpeg' });
  return {
    id,
    treeId: 7,
    label: 'Kiln Field 2-5',
    visit,
    moment: 'before',
    takenOn: '2026-01-10',
    picture,
    refused: '',
  };
}

function answered(status: number, body: object) {
  return Promise.resolve(new Response(JSON.stringify(body), { status }));
}

const noneOpen = () => false;
const asksAgain = (status: number) => status >= 500;

describe('photographs on the phone', () => {
  beforeEach(() => {
    kept.clear();
    fetched.mockReset();
  });

  it('are sent oldest first once their visit is over, and then forgotten', async () => {
    await keepPhoto(photo('b', 'done'));
    await keepPhoto(photo('a', 'done'));
    await keepPhoto(photo('c', 'going on'));
    fetched.mockImplementation(() => answered(201, {}));
    await sendPhotos((_, visit) => visit === 'going on', 'Lucia', asksAgain);
    const sent = fetched.mock.calls.map(([path]) => new URL(path, 'http://127.0.0.1').searchParams);
    expect(sent.map((one) => one.get('clientId'))).toEqual(['a', 'b']);
    expect(sent[0]?.get('who')).toBe('Lucia');
    expect([...kept.keys()]).toEqual(['c']);
  });

  it('wait where there is no signal or the server is busy', async () => {
    await keepPhoto(photo('a', 'done'));
    await keepPhoto(photo('b', 'done'));
    fetched.mockImplementationOnce(() => Promise.reject(new TypeError('no signal')));
    await sendPhotos(noneOpen, 'Lucia', asksAgain);
    fetched.mockImplementationOnce(() => answered(503, { detail: 'busy' }));
    await sendPhotos(noneOpen, 'Lucia', asksAgain);
    expect(fetched).toHaveBeenCalledTimes(2);
    expect([...kept.values()].map((one) => one.refused)).toEqual(['', '']);
  });

  it('stay with the reason where they are refused, and do not hold up the others', async () => {
    await keepPhoto(photo('a', 'done'));
    await keepPhoto(photo('b', 'done'));
    fetched.mockImplementationOnce(() => answered(422, { detail: 'no picture' }));
    fetched.mockImplementationOnce(() => answered(201, {}));
    await sendPhotos(noneOpen, 'Lucia', asksAgain);
    expect([...kept.values()].map((one) => one.refused)).toEqual(['no picture']);
    await sendPhotos(noneOpen, 'Lucia', asksAgain);
    expect(fetched).toHaveBeenCalledTimes(2);
    await photoAgain('a');
    fetched.mockImplementationOnce(() => answered(200, {}));
    await sendPhotos(noneOpen, 'Lucia', asksAgain);
    expect(kept.size).toBe(0);
  });
});
