import { useSay } from '../text/say';
import { useMutation } from '@tanstack/react-query';
import { Button } from './Button';

/** What was just done, and the way back. */
export interface Done {
  words: string;
  undo: () => Promise<unknown>;
}

/** Says what was done and offers to undo it; gone once it was undone or dismissed. */
export function UndoNotice({ done, dismiss }: { done: Done | null; dismiss: () => void }) {
  const say = useSay();
  const undo = useMutation({ mutationFn: () => done?.undo() ?? Promise.resolve(), onSuccess: dismiss });
  if (!done) return null;
  return (
    <p
      role="status"
      className="my-3 flex flex-wrap items-center gap-3 border-l-4 border-ink bg-sand px-3 py-1.5 text-[14px]"
    >
      {done.words}
      <Button
        disabled={undo.isPending}
        onClick={() => {
          undo.mutate();
        }}
      >
        {say('undone.undo')}
      </Button>
      <Button weight="quiet" onClick={dismiss}>
        {say('undone.dismiss')}
      </Button>
      {undo.error && <span className="font-semibold text-lichen">{undo.error.message}</span>}
    </p>
  );
}
