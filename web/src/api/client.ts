import { farmBase, inFarm } from './farm';
import { units } from '../text/units';
import { say } from '../text/say';
import createClient from 'openapi-fetch';
import { Problem, type FieldError } from './problem';
import type { components, paths } from './schema';

type Schemas = components['schemas'];

export type HoldingPage = Schemas['HoldingPage'];
export type BlockLine = Schemas['BlockLine'];
export type RulePage = Schemas['RulePage'];
export type BlockEntry = Schemas['BlockEntry'];
export type TreeLine = Schemas['TreeLine'];
export type TreePage = Schemas['TreePage'];
export type LimbLine = Schemas['LimbLine'];
export type Drawing = Schemas['StandDrawing'];
export type AxisLine = Schemas['AxisLine'];
export type EarlyWarning = Schemas['EarlyWarning'];
export type BlockYear = Schemas['BlockYear'];
export type YearsOfBlock = Schemas['YearsOfBlock'];
export type InstructionPage = Schemas['InstructionPage'];
export type Instruction = Schemas['Instruction'];
export type PlantingRequest = Schemas['PlantingRequest'];
export type PlantingOption = Schemas['PlantingOption'];
export type PlantingsCompared = Schemas['PlantingsCompared'];
export type PlantedField = Schemas['PlantedField'];
export type LimbQuestion = Schemas['LimbQuestion'];
export type LimbVerdict = Schemas['LimbVerdict'];
export type PhotoFigures = Schemas['PhotoFigures'];
export type PhotoSurveyRequest = Schemas['PhotoSurveyRequest'];
export type PhotoSurveyAnswer = Schemas['PhotoSurveyAnswer'];
export type GeoRead = Schemas['GeoRead'];
export type Finding = Schemas['FindingAnswer'];
export type Plan = Schemas['PlanAnswer'];
export type Step = Schemas['StepAnswer'];
export type Totals = Schemas['TotalsAnswer'];
export type Mark = Schemas['Mark'];
export type Decisions = Schemas['Decisions'];
export type Marked = Schemas['Marked'];
export type Option = Schemas['Option'];
export type RecordLine = Schemas['RecordLine'];
export type PhotoLine = Schemas['PhotoLine'];
export type RecordEntry = Schemas['VisitEntry'];
export type MeasureLine = Schemas['MeasureLine'];
export type SurveyQuery = Schemas['Query'];
export type SurveyDocument = Schemas['Survey'];
export type LimbMeasure = Schemas['LimbMeasure'];
export type LightLayer = Schemas['LightLayer'];
export type HarvestLayer = Schemas['HarvestLayer'];
export type TargetShape = Schemas['TargetShape'];
export type Guide = Schemas['Guide'];
export type Beside = Schemas['Beside'];
export type BackupsKept = Schemas['BackupsKept'];
export type SeasonsAhead = Schemas['SeasonsAhead'];
export type ArchiveTaken = Schemas['ArchiveTaken'];
export type BlockProgress = Schemas['Progress'];
export type Measure = Schemas['Measure'];
export type ImportOutcome = Schemas['Outcome'];
export type Years = Schemas['Years'];
export type Year = Schemas['YearAnswer'];
export type Range = Schemas['RangeAnswer'];
export type TrainingAnswer = Schemas['TrainingAnswer'];
export type MaterialOfRow = Schemas['MaterialOfRow'];
export type SeasonPage = Schemas['SeasonPage'];
export type BlockSeason = Schemas['BlockSeason'];
export type SeasonSpan = Schemas['Span'];
export type WeatherLine = Schemas['WeatherLine'];
export type DayPage = Schemas['DayPage'];
export type PlacedBlock = Schemas['PlacedBlock'];
export type SchedulePage = Schemas['SchedulePage'];
export type WaitLine = Schemas['WaitLine'];
export type PlacedLine = Schemas['PlacedLine'];
export type CrewLine = Schemas['CrewLine'];
export type FieldSheet = Schemas['FieldSheet'];
export type FieldStep = Schemas['FieldStep'];
export type FollowUpLine = Schemas['FollowUpLine'];
export type WhoIsHere = Schemas['WhoIsHere'];
export type AccountLine = Schemas['AccountLine'];
export type BlockPlans = Schemas['BlockPlans'];
export type PlannedLine = Schemas['PlannedLine'];
export type PlansOfFarm = Schemas['PlansOfFarm'];
export type FarmLine = Schemas['FarmLine'];
export type CheckedSeason = Schemas['CheckedSeason'];
export type PickingLine = Schemas['PickingLine'];
export type Knowledge = Schemas['Catalogue'];
export type PlantPage = Schemas['PlantPage'];
export type PlantMarked = Schemas['PlantMarked'];
export type PlantLooked = Schemas['PlantLooked'];
export type CountAssessment = Schemas['CountAssessment'];
export type CountedPlan = Schemas['CountedPlan'];
export type CountedStep = Schemas['CountedStep'];
export type TreePlace = Schemas['TreePlace'];

export type EyeQuestion = Schemas['EyeQuestion'];
export type EyeAnswer = Schemas['EyeAnswer'];
export type PracticeTreePage = Schemas['PracticeTreePage'];
export type PracticeChoices = Schemas['PracticeChoices'];
export type PracticeWish = Schemas['PracticeWish'];
export type DrillPage = Schemas['DrillPage'];
export type DrillTree = Schemas['DrillTree'];
export type PracticeKit = Schemas['PracticeKit'];
export type UnderMarks = Schemas['UnderMarks'];
export type PracticeVerdict = Schemas['PracticeVerdict'];
export type PracticeStep = Schemas['PracticeStep'];
export type PracticeYears = Schemas['PracticeYears'];
export type PracticeProgress = Schemas['PracticeProgress'];

export type CountSurvey = Schemas['CountSurvey'];

/** The server's token of this page, which goes back with every change so that no other page can make one in our name. */
function token(): string {
  const found = /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1];
  return found ? decodeURIComponent(found) : '';
}

/** Who asks, as every request says it: the language and units of the page, and its token. */
function asker(): Record<string, string> {
  return {
    'Accept-Language': document.documentElement.lang,
    'Umbel-Units': units(),
    'X-XSRF-TOKEN': token(),
  };
}

/** Asks the browser to carry out a save although the page is being left; nobody waits for its answer. */
export function sendOnLeaving(path: string, body: unknown): void {
  void fetch(inFarm(path), {
    method: 'PUT',
    keepalive: true,
    headers: { ...asker(), 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  }).catch(() => undefined);
}

/** Sends a body as it is, and gives the answer or throws its problem. */
async function send<T>(path: string, type: string, body: BodyInit): Promise<T> {
  const got = await fetch(inFarm(path), {
    method: 'POST',
    headers: { ...asker(), 'Content-Type': type },
    body,
  });
  const told = (await got.json()) as T & { detail?: string; errors?: FieldError[] };
  if (!got.ok) throw new Problem(told.detail ?? say('client.it-was-refused'), got.status, told.errors ?? []);
  return told;
}

/** Sends a text of another kind than JSON, such as a table, and gives the answer or throws its problem. */
export function sendText<T>(path: string, type: string, text: string): Promise<T> {
  return send(path, type, text);
}

/** Sends a file as it is, and gives the answer or throws its problem. */
export function sendFile<T>(path: string, file: File): Promise<T> {
  return send(path, 'application/octet-stream', file);
}

/** Sends a picture as it is, and gives the answer or throws its problem. */
export function sendPicture<T>(path: string, picture: Blob): Promise<T> {
  return send(path, 'image/jpeg', picture);
}

export const api = createClient<paths>({ baseUrl: window.location.origin + farmBase });

api.use({
  onRequest({ request }) {
    for (const [name, value] of Object.entries(asker())) request.headers.set(name, value);
    return request;
  },
  onResponse({ response }) {
    if (response.status === 401) window.dispatchEvent(new Event('umbel-signed-out'));
    return response;
  },
});

/** The data of an answer, nothing where it was sent without any; or its problem thrown. */
export async function answer<T>(
  asked: Promise<{ data?: T; error?: unknown; response: Response }>,
): Promise<T> {
  let got;
  try {
    got = await asked;
  } catch {
    throw new Problem(say('client.umbel-does-not-answer-is'), 0, []);
  }
  const empty = got.response.status === 204 || got.response.headers.get('content-length') === '0';
  if (got.response.ok && (got.data !== undefined || empty)) {
    return got.data as T;
  }
  const problem = (got.error ?? {}) as { detail?: string; title?: string; errors?: FieldError[] };
  throw new Problem(
    problem.detail ??
      problem.title ??
      say('client.the-server-answered-status', { status: got.response.status }),
    got.response.status,
    problem.errors ?? [],
  );
}
