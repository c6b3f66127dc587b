import { say, useSay } from '../text/say';
import { Button } from '../ui/Button';
import type { SaveState } from './decisions';
import type { DecidingWork } from './useDeciding';

const SAVE_WORDS: Record<SaveState, string> = {
  get saved() {
    return say('gauges.saved');
  },
  get waiting() {
    return say('gauges.saving');
  },
  get saving() {
    return say('gauges.saving');
  },
  get retrying() {
    return say('gauges.not-saved-trying-again');
  },
  get stale() {
    return say('gauges.not-saved');
  },
  get refused() {
    return say('gauges.not-saved');
  },
};
const IN_ORDER: ReadonlySet<SaveState> = new Set(['saved', 'waiting', 'saving']);

/** Whether what is marked is saved, in a word. */
export function SaveNote({ work: { saveState } }: { work: DecidingWork }) {
  return (
    <span role="status" className={IN_ORDER.has(saveState) ? '' : 'font-semibold text-lichen'}>
      {SAVE_WORDS[saveState]}
    </span>
  );
}

/** Why it was not saved, and what can be done. */
export function SaveTrouble({ work }: { work: DecidingWork }) {
  const say = useSay();
  const { saveState } = work;
  return (
    <>
      {saveState === 'refused' && (
        <p role="alert" className="mt-1 text-[13px] font-semibold text-lichen">
          {work.saveTrouble}
        </p>
      )}
      {saveState === 'stale' && (
        <div role="alert" className="mt-1 border-l-4 border-lichen bg-lichen-wash px-3 py-1.5 text-[13.5px]">
          <p>{work.saveTrouble}</p>
          <span className="mt-1 flex flex-wrap gap-2">
            <Button onClick={work.loadNewer}>{say('gauges.load-the-newer-marks')}</Button>
            <Button onClick={work.keepMine}>{say('gauges.keep-mine-instead')}</Button>
          </span>
        </div>
      )}
    </>
  );
}
