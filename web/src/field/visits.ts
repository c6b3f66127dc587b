import { keptAs } from '../api/farm';
import { answer, api, type FieldSheet, type Mark, type RecordEntry } from '../api/client';
import { newId } from '../api/newId';
import { asksAgain, Problem } from '../api/problem';
import { readNumber } from '../ui/numbers';

/** How a step went, as far as it is ticked. */
export interface Ticked {
  outcome: 'as-planned' | 'skipped';
  reason: string;
}

/** A visit that is still going on at a tree, as it is kept on the phone. */
export interface OpenVisit {
  id: string;
  began: string;
  who: string;
  note: string;
  steps: Record<number, Ticked>;
  added: { limb: string; reason: string; mark: Mark }[];
  tools: string[];
  /** Kinds of tasks after the last cut that were done. */
  afterwards?: string[];
  /** Minutes as told; empty takes the clock's. */
  minutes: string;
}

/** A finished visit that the server has not taken. */
export interface Waiting {
  treeId: number;
  label: string;
  entry: RecordEntry;
  /** The visit as it was ticked, so that it can be mended where it was refused. */
  visit: OpenVisit;
  /** Why the server did not take it; empty while it only waits for signal. */
  refused: string;
}

/** What somebody else did at a tree that this phone was at too. */
export interface Meanwhile {
  treeId: number;
  label: string;
  who: string;
  done: string[];
}

const QUEUE = keptAs('umbel.visits-to-send');
const MEANWHILE = keptAs('umbel.meanwhile');
const FINISHED = keptAs('umbel.finished');
const LONGEST_MINUTES = 600;
/** Tells every page that what is kept here has changed. */
export const VISITS_CHANGED = 'umbel-visit';

function told() {
  window.dispatchEvent(new Event(VISITS_CHANGED));
}

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
    who: whoseIsIt(),
    note: '',
    steps: {},
    added: [],
    tools: [],
    minutes: '',
    ...kept,
  };
}

/** Who said last to have worked with this phone; empty where nobody did. */
export function whoseIsIt(): string {
  return localStorage.getItem('umbel.who') ?? '';
}

/** Whether a visit to a tree still goes on on this phone. */
export function isOpen(treeId: number, visit: string): boolean {
  return (readJson(openKey(treeId)) as OpenVisit | null)?.id === visit;
}

/** Keeps a visit on the phone; nothing is lost when it is laid away or its battery ends. */
export function keepVisit(treeId: number, visit: OpenVisit) {
  localStorage.setItem(openKey(treeId), JSON.stringify(visit));
  localStorage.setItem('umbel.who', visit.who);
}

/** The finished visits that the server has not taken, those it refused among them. */
export function waiting(): Waiting[] {
  return (readJson(QUEUE) as Waiting[] | null) ?? [];
}

function keepQueue(queue: Waiting[]) {
  localStorage.setItem(QUEUE, JSON.stringify(queue));
}

/** What others did meanwhile, told by the server when a visit was taken. */
export function meanwhile(): Meanwhile[] {
  return (readJson(MEANWHILE) as Meanwhile[] | null) ?? [];
}

/** Takes a note about somebody else's visit as read. */
export function readMeanwhile(treeId: number) {
  localStorage.setItem(MEANWHILE, JSON.stringify(meanwhile().filter((one) => one.treeId !== treeId)));
  told();
}

type Finished = Record<string, { lastVisit: number; surveyId: number }>;

/** Whether a tree was finished on this phone and its sheet does not know of it yet. */
export function finishedHere(sheet: Pick<FieldSheet, 'treeId' | 'lastVisit' | 'surveyId'>): boolean {
  const one = finished()[String(sheet.treeId)];
  if (!one) return false;
  return one.surveyId === sheet.surveyId && sheet.lastVisit <= one.lastVisit;
}

function finished(): Finished {
  return (readJson(FINISHED) as Finished | null) ?? {};
}

function noteFinished(sheet: FieldSheet, isFinished: boolean) {
  const all = finished();
  if (isFinished) all[String(sheet.treeId)] = { lastVisit: sheet.lastVisit, surveyId: sheet.surveyId };
  else Reflect.deleteProperty(all, String(sheet.treeId));
  localStorage.setItem(FINISHED, JSON.stringify(all));
}

/** Puts a finished visit in line to be sent; it has its own id, so sending it twice does no harm. */
export function finishVisit(sheet: FieldSheet, visit: OpenVisit, now = new Date()) {
  const others = waiting().filter((one) => one.entry.clientId !== visit.id);
  const entry = entryOf(sheet, visit, now);
  keepQueue([...others, { treeId: sheet.treeId, label: sheet.label, entry, visit, refused: '' }]);
  noteFinished(sheet, true);
  localStorage.removeItem(openKey(sheet.treeId));
  told();
}

/** Opens the visit to a tree again, to be mended: what was refused, or what was finished by mistake and not sent yet. */
export function reopenVisit(sheet: FieldSheet) {
  const one = waiting().find((other) => other.treeId === sheet.treeId);
  if (one) {
    keepVisit(sheet.treeId, one.visit);
    keepQueue(waiting().filter((other) => other !== one && other.entry.clientId !== one.entry.clientId));
  }
  noteFinished(sheet, false);
  told();
}

/** Puts a refused visit in line again as it is. */
export function sendAgain(clientId: string) {
  keepQueue(waiting().map((one) => (one.entry.clientId === clientId ? { ...one, refused: '' } : one)));
  told();
}

/** The day it is at the holding of a sheet. */
export function todayOf(sheet: Pick<FieldSheet, 'timeZone'>, now: Date): string {
  return now.toLocaleDateString('sv-SE', { timeZone: sheet.timeZone });
}

/** The visit as it is recorded: every step with how it went; what was left stays marked. The day is the holding's own. */
export function entryOf(sheet: FieldSheet, visit: OpenVisit, now: Date): RecordEntry {
  const clock = (now.getTime() - Date.parse(visit.began)) / 60_000;
  const said = readNumber(visit.minutes) ?? 0;
  const minutes = Math.min(LONGEST_MINUTES, Math.max(0.5, said > 0 ? said : clock));
  return {
    clientId: visit.id,
    doneOn: todayOf(sheet, now),
    who: visit.who.trim(),
    minutes: Math.round(minutes * 10) / 10,
    note: visit.note,
    tools: visit.tools.join(', '),
    afterwards: visit.afterwards ?? [],
    surveyId: sheet.surveyId,
    knownVisit: sheet.lastVisit,
    steps: [
      ...sheet.steps.map((step) => ({
        mark: step.mark,
        title: step.title['en'] ?? '',
        outcome: visit.steps[step.number]?.outcome ?? 'left',
        reason: visit.steps[step.number]?.reason ?? '',
      })),
      ...visit.added.map((one) => ({
        mark: one.mark,
        title: one.reason.slice(0, 200),
        outcome: 'added',
        reason: one.reason,
      })),
    ],
  };
}

let sending = false;

/** Sends what is in line, oldest first; stops at the first that finds no signal. What is refused stays, with the reason. */
export async function sendWaiting(): Promise<void> {
  if (sending) return;
  sending = true;
  try {
    for (const one of waiting().filter((other) => other.refused === '')) {
      let refused = '';
      try {
        const saved = await answer(
          api.POST('/api/trees/{id}/records', { params: { path: { id: one.treeId } }, body: one.entry }),
        );
        const others = saved.meanwhile.map((visit) => ({
          treeId: one.treeId,
          label: one.label,
          who: visit.who,
          done: visit.done,
        }));
        if (others.length > 0) localStorage.setItem(MEANWHILE, JSON.stringify([...meanwhile(), ...others]));
      } catch (error) {
        const status = error instanceof Problem ? error.status : 0;
        if (asksAgain(status)) break;
        const problem = error as Problem;
        refused = problem.errors.map((fault) => fault.message).join(' ') || problem.message;
      }
      keepQueue(
        waiting().flatMap((other) =>
          other.entry.clientId !== one.entry.clientId
            ? [other]
            : refused === ''
              ? []
              : [{ ...other, refused }],
        ),
      );
    }
  } finally {
    sending = false;
    told();
  }
}
