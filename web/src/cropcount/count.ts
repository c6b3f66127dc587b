import type { components } from '../api/schema';
import { readNumber } from '../ui/numbers';

export type Stage = 'bloom' | 'set' | 'fruit';
export const STAGES: readonly Stage[] = ['bloom', 'set', 'fruit'];

/** A marked limb as it is typed: its thickness in millimetres, and what was counted on it. */
export interface LimbTyped {
  thick: string;
  count: string;
}

/** A count as it is typed; kept on the device until it is saved. */
export interface CountTyped {
  stage: Stage;
  limbs: LimbTyped[];
  /** The sender's own id, by which a count that is sent twice is kept once. */
  clientId: string;
}

const EMPTY: LimbTyped = { thick: '', count: '' };
const LEAST_LIMBS = 2;

export function begun(stage: Stage = 'bloom'): CountTyped {
  return { stage, limbs: [EMPTY], clientId: crypto.randomUUID() };
}

const number = (text: string) => {
  const read = readNumber(text);
  return read === undefined || Number.isNaN(read) ? undefined : read;
};

/** Limbs that are complete: a thickness and a whole count. */
export function complete(typed: CountTyped): components['schemas']['CountedLimb'][] {
  return typed.limbs.flatMap(({ thick, count }) => {
    const [diameterMm, counted] = [number(thick), number(count)];
    return diameterMm === undefined || counted === undefined || diameterMm <= 0 || counted < 0
      ? []
      : [{ diameterMm, count: Math.round(counted) }];
  });
}

/** Whether there are limbs enough for an answer. */
export function enough(typed: CountTyped): boolean {
  return complete(typed).length >= LEAST_LIMBS;
}

/** The count with one limb typed over; there is always an empty line at the end to go on in. */
export function withLimb(typed: CountTyped, at: number, next: Partial<LimbTyped>): CountTyped {
  const limbs = typed.limbs.map((limb, i) => (i === at ? { ...limb, ...next } : limb));
  const last = limbs[limbs.length - 1];
  return { ...typed, limbs: last && (last.thick !== '' || last.count !== '') ? [...limbs, EMPTY] : limbs };
}

export function withoutLimb(typed: CountTyped, at: number): CountTyped {
  const limbs = typed.limbs.filter((_, i) => i !== at);
  return { ...typed, limbs: limbs.length > 0 ? limbs : [EMPTY] };
}

/** A count as it was typed before it was sent. */
export function typedAgain({
  stage,
  limbs,
  clientId,
}: Pick<components['schemas']['CountSent'], 'stage' | 'limbs' | 'clientId'>): CountTyped {
  return {
    stage: STAGES.find((one) => one === stage) ?? 'bloom',
    limbs: [
      ...limbs.map(({ diameterMm, count }) => ({ thick: String(diameterMm), count: String(count) })),
      EMPTY,
    ],
    clientId,
  };
}

const PREFIX = 'umbel-crop-count-';

/** The count of a block that was begun on this device and not saved; a fresh one where none was. */
export function keptCount(block: number): CountTyped {
  try {
    const kept = JSON.parse(localStorage.getItem(`${PREFIX}${block}`) ?? 'null') as CountTyped | null;
    return kept && STAGES.includes(kept.stage) && Array.isArray(kept.limbs) ? kept : begun();
  } catch {
    return begun();
  }
}

export function keepCount(block: number, typed: CountTyped): void {
  localStorage.setItem(`${PREFIX}${block}`, JSON.stringify(typed));
}

export function dropCount(block: number): void {
  localStorage.removeItem(`${PREFIX}${block}`);
}

const BLOCKS = 'umbel-crop-count-block-';

/** What a count needs to know of its block. */
export interface CountBlock {
  name: string;
  timeZone: string;
}

/** Keeps a block's name and time on this device, so that it can be counted without signal. */
export function keepBlock({ id, name, timeZone }: CountBlock & { id: number }): void {
  localStorage.setItem(`${BLOCKS}${id}`, JSON.stringify({ name, timeZone }));
}

/** A block that was opened on this device before; null where it was not. */
export function keptBlock(id: number): CountBlock | null {
  try {
    return JSON.parse(localStorage.getItem(`${BLOCKS}${id}`) ?? 'null') as CountBlock | null;
  } catch {
    return null;
  }
}
