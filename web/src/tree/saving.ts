/** Saves of what is decided that are under way, by plant. */
const underWay = new Map<number, Promise<unknown>>();

/** Notes a save of a plant's decisions, so that whoever shows them next waits for it. */
export function noteSave(id: number, save: Promise<unknown>): void {
  const all = Promise.allSettled([underWay.get(id), save]).then(() => {
    if (underWay.get(id) === all) underWay.delete(id);
  });
  underWay.set(id, all);
}

/** Waits until no save of a plant's decisions is under way, whether it went well or not. */
export async function whenSaved(id: number): Promise<void> {
  await underWay.get(id);
}
