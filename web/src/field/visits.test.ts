import { beforeEach, describe, expect, it, vi } from 'vitest';
import type { FieldSheet } from '../api/client';

const store = new Map<string, string>();
vi.stubGlobal('localStorage', {
  getItem: (key: string) => store.get(key) ?? null,
  setItem: (key: string, value: string) => store.set(key, value),
  removeItem: (key: string) => store.delete(key),
});
const page = new EventTarget();
vi.stubGlobal('window', Object.assign(page, { location: { origin: 'http://127.0.0.1' } }));
vi.stubGlobal('document', { cookie: '', documentElement: { lang: 'en' } });
const fetched = vi.fn<(request: Request) => Promise<Response>>();
vi.stubGlobal('fetch', fetched);

const {
  entryOf,
  finishedHere,
  finishVisit,
  meanwhile,
  openVisit,
  reopenVisit,
  sendAgain,
  sendWaiting,
  waiting,
} = await import('./visits');

const sheet = {
  treeId: 7,
  label: 'Kiln Field 2-5',
  surveyId: 3,
  lastVisit: 11,
  timeZone: 'Pacific/Kiritimati',
  steps: [
    { number: 1, mark: { operation: 'remove', limb: '2' }, title: { en: 'Remove limb 2' } },
    { number: 2, mark: { operation: 'remove', limb: '4' }, title: { en: 'Remove limb 4' } },
  ],
} as unknown as FieldSheet;

function ticked() {
  return { ...openVisit(7), who: ' Ines ', steps: { 1: { outcome: 'as-planned' as const, reason: '' } } };
}

function answers(status: number, body: unknown) {
  fetched.mockImplementation(() =>
    Promise.resolve(
      new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } }),
    ),
  );
}

beforeEach(() => {
  store.clear();
  fetched.mockReset();
});

describe('a finished visit', () => {
  it('says how every step went, on the day it is at the holding', () => {
    const entry = entryOf(sheet, { ...ticked(), minutes: '4,5' }, new Date('2026-03-01T20:00:00Z'));
    expect(entry.doneOn).toBe('2026-03-02');
    expect([entry.who, entry.minutes, entry.surveyId, entry.knownVisit]).toEqual(['Ines', 4.5, 3, 11]);
    expect(entry.steps.map((step) => step.outcome)).toEqual(['as-planned', 'left']);
  });

  it('stays finished on this phone until its sheet knows of it', () => {
    finishVisit(sheet, ticked());
    expect(finishedHere(sheet)).toBe(true);
    expect(finishedHere({ ...sheet, lastVisit: 12 })).toBe(false);
    expect(finishedHere({ ...sheet, surveyId: 4 })).toBe(false);
  });

  it('waits while nobody answers, and is gone once it was taken', async () => {
    finishVisit(sheet, ticked());
    fetched.mockRejectedValue(new TypeError('no signal'));
    await sendWaiting();
    expect(waiting()).toHaveLength(1);
    answers(503, { detail: 'busy' });
    await sendWaiting();
    answers(401, { detail: 'sign in' });
    await sendWaiting();
    expect(waiting().map((one) => one.refused)).toEqual(['']);
    answers(201, { record: {}, meanwhile: [{ id: 12, who: 'Tomas', done: ['Remove limb 2'] }] });
    await sendWaiting();
    expect(waiting()).toEqual([]);
    expect(meanwhile()).toEqual([
      { treeId: 7, label: 'Kiln Field 2-5', who: 'Tomas', done: ['Remove limb 2'] },
    ]);
  });

  it('is kept with the reason where it is refused, and can be mended or sent again', async () => {
    finishVisit(sheet, ticked());
    answers(400, { detail: 'Wrong', errors: [{ field: 'note', message: 'At most 2000 characters.' }] });
    await sendWaiting();
    expect(waiting().map((one) => one.refused)).toEqual(['At most 2000 characters.']);
    fetched.mockClear();
    await sendWaiting();
    expect(fetched).not.toHaveBeenCalled();
    sendAgain(waiting()[0]?.entry.clientId ?? '');
    expect(waiting()[0]?.refused).toBe('');
    reopenVisit(sheet);
    expect(waiting()).toEqual([]);
    expect(openVisit(7).steps).toEqual({ 1: { outcome: 'as-planned', reason: '' } });
    expect(finishedHere(sheet)).toBe(false);
  });

  it('does not hold up the others where it is refused', async () => {
    finishVisit(sheet, ticked());
    finishVisit({ ...sheet, treeId: 8, label: 'Kiln Field 2-6' }, { ...ticked(), id: 'other' });
    fetched.mockImplementation((request) =>
      Promise.resolve(
        new Response(JSON.stringify({ record: {}, meanwhile: [], detail: 'no' }), {
          status: request.url.includes('/7/') ? 403 : 201,
          headers: { 'Content-Type': 'application/json' },
        }),
      ),
    );
    await sendWaiting();
    expect(waiting().map((one) => [one.treeId, one.refused])).toEqual([[7, 'no']]);
  });
});
