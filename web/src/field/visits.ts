import { api, Problem, answer, type Mark, type RecordEntry } from '../api/client';

/** A visit that is still going on at a tree, as it is kept on the phone. */
export interface OpenVisit {
  id: string;
  began: string;
  language: string;
  who: string;
  note: string;
  steps: Record<number, { outcome: 'as-planned' | 'skipped'; reason: string }>;
  added: { limb: string; reason: string; mark: Mark }[];
  tools: string[];
  /** Minutes as told; empty takes the clock's. */
  minutes: string;
}

interface Waiting {
  treeId: number;
  label: string;
  entry: RecordEntry;
}

const QUEUE = 'umbel.visits-to-send';

function openKey(treeId: number): string {
  return `umbel.visit.${treeId}`;
}

function readJson(key: string): unknown {
  try {
    const text = localStorage.getItem(key);
    return text ? JSON.parse(text) : null;
  } catch {
    return null;
  }
}

/** A visit begun at this tree on this phone, or a new one. */
export function openVisit(treeId: number): OpenVisit {
  const kept = readJson(openKey(treeId)) as OpenVisit | null;
  return {
    id: newId(),
    began: new Date().toISOString(),
    language: localStorage.getItem('umbel.language') ?? 'en',
    who: localStorage.getItem('umbel.who') ?? '',
    note: '',
    steps: {},
    added: [],
    tools: [],
    minutes: '',
    ...kept,
  };
}

/** Keeps a visit on the phone; nothing is lost when it is laid away or its battery ends. */
export function keepVisit(treeId: number, visit: OpenVisit) {
  localStorage.setItem(openKey(treeId), JSON.stringify(visit));
  localStorage.setItem('umbel.who', visit.who);
  localStorage.setItem('umbel.language', visit.language);
}

export function waiting(): Waiting[] {
  return (readJson(QUEUE) as Waiting[] | null) ?? [];
}

/** Puts a finished visit in line to be sent; it has its own id, so sending it twice does no harm. */
export function finishVisit(treeId: number, label: string, entry: RecordEntry) {
  localStorage.setItem(QUEUE, JSON.stringify([...waiting(), { treeId, label, entry }]));
  localStorage.removeItem(openKey(treeId));
}

let sending = false;

/** Sends what is in line, oldest first; stops at the first that finds no signal. Tells what was refused for good. */
export async function sendWaiting(): Promise<string[]> {
  const refused: string[] = [];
  if (sending) return refused;
  sending = true;
  try {
    for (const one of waiting()) {
      try {
        await answer(
          api.POST('/api/trees/{id}/records', { params: { path: { id: one.treeId } }, body: one.entry }),
        );
      } catch (error) {
        const final =
          error instanceof Problem && error.status >= 400 && error.status < 500 && error.status !== 401;
        if (!final) break;
        refused.push(`${one.label}: ${error.message}`);
      }
      localStorage.setItem(
        QUEUE,
        JSON.stringify(waiting().filter((other) => other.entry.clientId !== one.entry.clientId)),
      );
    }
  } finally {
    sending = false;
  }
  return refused;
}

function newId(): string {
  const random = new Uint8Array(16);
  crypto.getRandomValues(random);
  return [...random].map((byte) => byte.toString(16).padStart(2, '0')).join('');
}
