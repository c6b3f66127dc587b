import { createStore, get, set, type UseStore } from 'idb-keyval';
import { answer, api, type DrillPage, type DrillTree } from '../api/client';
import { notReached } from '../api/problem';

/** The trees of a round and where the fault of each is, by the tree's code. */
interface KeptDrill {
  trees: DrillTree[];
  pages: Record<string, DrillPage>;
}

let store: UseStore | undefined;

function kept(): UseStore {
  store ??= createStore('umbel-practice-drill', 'rounds');
  return store;
}

async function keptDrill(language: string): Promise<KeptDrill | undefined> {
  try {
    return await get<KeptDrill>(language, kept());
  } catch {
    return undefined;
  }
}

/** A round for a minute: a new one, or the one that this device kept where the server cannot be reached. */
export async function drawnDrill(language: string): Promise<DrillTree[]> {
  try {
    return await answer(api.GET('/api/practice/drills'));
  } catch (error) {
    const round = notReached(error) ? await keptDrill(language) : undefined;
    if (!round) throw error;
    return round.trees;
  }
}

/** A tree of a round with where its fault is. */
export async function drillPage(language: string, { code, rule }: DrillTree): Promise<DrillPage> {
  const page = (await keptDrill(language))?.pages[code];
  if (page) return page;
  return answer(
    api.GET('/api/practice/exercises/{code}/drill', { params: { path: { code }, query: { rule } } }),
  );
}

/** Keeps a whole round on this device, for where there is no signal; nothing is kept of a round that is not whole. */
export async function keepDrill(
  language: string,
  trees: DrillTree[],
  pageOf: (tree: DrillTree) => Promise<DrillPage>,
): Promise<void> {
  const pages: KeptDrill['pages'] = {};
  for (const tree of trees) pages[tree.code] = await pageOf(tree);
  await set(language, { trees, pages } satisfies KeptDrill, kept());
}
