import { beforeEach, describe, expect, it, vi } from 'vitest';
import { Outbox } from './outbox';
import { Problem } from './problem';

interface Letter {
  who: string;
  about: string;
  words: string;
}

const box = new Outbox<Letter>(
  'letters',
  4,
  (one, other) => one.who === other.who && one.about === other.about,
);
const letter = (who: string, about: string, words = ''): Letter => ({ who, about, words });

beforeEach(() => {
  const kept = new Map<string, string>();
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
  });
});

describe('what waits to be sent', () => {
  it('keeps its order, takes the last of what is the same, and lets the oldest go where there is no room', () => {
    box.layBy(letter('ana', 'a', 'first'));
    box.layBy(letter('ben', 'a'));
    box.layBy(letter('ana', 'a', 'second'));
    expect(box.waiting()).toEqual([letter('ben', 'a'), letter('ana', 'a', 'second')]);
    for (const about of ['b', 'c', 'd']) box.layBy(letter('ana', about));
    expect(box.waiting().map((one) => one.about)).toEqual(['a', 'b', 'c', 'd']);
    box.forget((one) => one.about === 'c');
    expect(box.waiting().map((one) => one.about)).toEqual(['a', 'b', 'd']);
  });

  it('is sent in its order, stops without signal, and drops what is refused for good', async () => {
    for (const [who, about] of [
      ['ana', 'refused'],
      ['ben', 'another’s'],
      ['ana', 'no-signal'],
      ['ana', 'not-reached'],
    ] as const) {
      box.layBy(letter(who, about));
    }
    const asked: string[] = [];
    await box.send(
      ({ about }) => {
        asked.push(about);
        if (about === 'refused') return Promise.reject(new Problem('no such tree', 404, []));
        if (about === 'no-signal') return Promise.reject(new Problem('nobody answers', 0, []));
        return Promise.resolve();
      },
      (one) => one.who === 'ana',
    );
    expect(asked).toEqual(['refused', 'no-signal']);
    expect(box.waiting().map((one) => one.about)).toEqual(['another’s', 'no-signal', 'not-reached']);
    await box.send(() => Promise.resolve());
    expect(box.waiting()).toEqual([]);
  });

  it('sends each of two that are alike, and keeps what was laid by meanwhile', async () => {
    const plain = new Outbox<string>('plain', 9);
    plain.layBy('round');
    plain.layBy('round');
    let times = 0;
    await plain.send(() => (times++ === 0 ? Promise.resolve() : Promise.reject(new TypeError('no signal'))));
    expect(plain.waiting()).toEqual(['round']);
    await plain.send(() => {
      plain.layBy('later');
      return Promise.resolve();
    });
    expect(plain.waiting()).toEqual(['later']);
  });

  it('sends nothing twice when it is asked to send again meanwhile', async () => {
    const plain = new Outbox<string>('plain', 9);
    plain.layBy('one');
    let asked = 0;
    const slow = () => {
      asked++;
      return new Promise((done) => setTimeout(done, 5));
    };
    await Promise.all([plain.send(slow), plain.send(slow)]);
    expect(asked).toBe(1);
    expect(plain.waiting()).toEqual([]);
  });

  it('keeps what was refused where it is told how', async () => {
    box.layBy(letter('ana', 'refused'));
    box.layBy(letter('ana', 'taken'));
    await box.send(
      ({ about }) => (about === 'refused' ? Promise.reject(new Problem('no', 400, [])) : Promise.resolve()),
      undefined,
      (one, why) => [{ ...one, words: why }],
    );
    expect(box.waiting()).toEqual([letter('ana', 'refused', 'no')]);
  });

  it('begins anew where what was kept cannot be read', () => {
    localStorage.setItem('letters', '{');
    expect(box.waiting()).toEqual([]);
    localStorage.setItem('letters', '{}');
    expect(box.waiting()).toEqual([]);
  });
});
