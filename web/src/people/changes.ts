import type { HoldingPage } from '../api/client';

/** What a request changed, and which tree, block or holding it names. */
export interface Change {
  /** A word of the family `change`; null where the request is none of the known ones. */
  what: string | null;
  of: { kind: 'tree' | 'block' | 'holding'; id: number } | null;
}

const CHANGES: readonly (readonly [path: RegExp, what: string])[] = (
  [
    ['accounts', 'account'],
    ['accounts/N', 'account'],
    ['backup/restore', 'restored-backup'],
    ['backups', 'backup'],
    ['blocks', 'block'],
    ['blocks/N', 'block'],
    ['blocks/N/archived', 'archiving'],
    ['blocks/N/crop-counts', 'crop-count'],
    ['blocks/N/crop-counts/N', 'crop-count'],
    ['blocks/N/instruction', 'instruction'],
    ['blocks/N/instruction/checks', 'work-check'],
    ['blocks/N/instruction/search', 'instruction'],
    ['blocks/N/instruction/use', 'instruction'],
    ['blocks/N/learned', 'learned'],
    ['blocks/N/lines', 'power-lines'],
    ['blocks/N/pickings', 'harvest'],
    ['blocks/N/pickings/N', 'harvest'],
    ['blocks/N/plans', 'planning'],
    ['blocks/N/surveys', 'surveys'],
    ['crew', 'crew'],
    ['crew/N', 'crew'],
    ['farms', 'farm'],
    ['farms/archive', 'archive-taken-in'],
    ['farms/archive/N', 'archive-taken-in'],
    ['farms/this', 'farm'],
    ['follow-ups/N', 'follow-up'],
    ['holdings', 'holding'],
    ['holdings/N', 'holding'],
    ['holdings/N/limits', 'limits'],
    ['holdings/N/weather', 'weather'],
    ['invitations', 'invitation'],
    ['invitations/N', 'invitation'],
    ['keys', 'key'],
    ['keys/N', 'key'],
    ['map', 'map'],
    ['plans', 'planning'],
    ['plans/night', 'planning'],
    ['plantings/scenarios', 'planting-scenario'],
    ['plantings/scenarios/N', 'planting-scenario'],
    ['schedule', 'schedule'],
    ['schedule/pieces/N', 'scheduled-work'],
    ['schedule/pieces/N/pin', 'scheduled-work'],
    ['schedule/run', 'schedule'],
    ['session', 'signing-in'],
    ['session/first', 'first-account'],
    ['session/join', 'joining'],
    ['session/password', 'password'],
    ['session/role', 'leaving'],
    ['settings/public-address', 'public-address'],
    ['suggestions/N', 'suggestion'],
    ['survey/kept', 'survey'],
    ['surveys/N/withdrawal', 'survey-withdrawal'],
    ['trees', 'tree'],
    ['trees/N', 'tree'],
    ['trees/N/archived', 'archiving'],
    ['trees/N/measures', 'measure'],
    ['trees/N/measures/N', 'measure'],
    ['trees/N/photos', 'photograph'],
    ['trees/N/photos/N', 'photograph'],
    ['trees/N/place', 'place'],
    ['trees/N/records', 'visit'],
    ['trees/N/surveys', 'survey'],
    ['trees/N/work', 'marks'],
  ] as const
).map(([path, what]) => [new RegExp(`^/api/${path.replaceAll('N', '\\d+')}$`), what] as const);

const KINDS = { trees: 'tree', blocks: 'block', holdings: 'holding' } as const;

/** What a line of the trail of changes stands for. */
export function changeOf(path: string): Change {
  const named = /^\/api\/(trees|blocks|holdings)\/(\d+)/.exec(path);
  return {
    what: CHANGES.find(([pattern]) => pattern.test(path))?.[1] ?? null,
    of: named ? { kind: KINDS[named[1] as keyof typeof KINDS], id: Number(named[2]) } : null,
  };
}

/** What a tree or block of the trail is called; empty where it is not known any more. */
export function calledIn(holding: HoldingPage | undefined, of: Change['of']): string {
  const { blocks = [], trees = [] } = holding ?? {};
  if (of?.kind === 'block') return blocks.find((block) => block.id === of.id)?.name ?? '';
  if (of?.kind === 'tree') return trees.find((tree) => tree.id === of.id)?.label ?? '';
  return '';
}
