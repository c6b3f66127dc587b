import { useState } from 'react';
import { Link } from 'react-router';
import { dropDraft, keptDraft, keptDrafts, keepDraft } from '../survey/draft';
import { Button } from '../ui/Button';
import { UndoNotice, type Done } from '../ui/Undone';

/** Surveys begun on this device and not saved, to go on with. */
export function Drafts() {
  const [drafts, setDrafts] = useState(keptDrafts);
  const [done, setDone] = useState<Done | null>(null);
  if (drafts.length === 0 && !done) return null;
  return (
    <section aria-labelledby="drafts" className="mt-5">
      <UndoNotice
        done={done}
        dismiss={() => {
          setDone(null);
        }}
      />
      {drafts.length > 0 && (
        <h2 id="drafts" className="text-[15px] font-bold">
          Surveys begun on this device and not saved
        </h2>
      )}
      <ul>
        {drafts.map((draft) => (
          <li key={draft.treeId} className="flex flex-wrap items-center gap-4 border-b border-line py-1">
            <b className="w-48">{draft.label || `Tree ${draft.treeId}`}</b>
            <span className="text-[14px] text-muted">
              {draft.limbs} {draft.limbs === 1 ? 'limb' : 'limbs'}
            </span>
            <Link
              to={`/trees/${draft.treeId}/survey`}
              className="min-h-9 content-center font-semibold underline underline-offset-4"
            >
              Go on
            </Link>
            <Button
              weight="quiet"
              onClick={() => {
                const form = keptDraft(draft.treeId);
                dropDraft(draft.treeId);
                setDrafts(keptDrafts());
                setDone({
                  words: `The survey of ${draft.label} is discarded.`,
                  undo: () => {
                    if (form) keepDraft(draft.treeId, form);
                    setDrafts(keptDrafts());
                    return Promise.resolve();
                  },
                });
              }}
            >
              Discard
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
