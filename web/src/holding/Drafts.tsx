import { useSay } from '../text/say';
import { useState } from 'react';
import { Link } from 'react-router';
import { dropDraft, keptDraft, keptDrafts, keepDraft } from '../survey/draft';
import { Button } from '../ui/Button';
import { UndoNotice, type Done } from '../ui/Undone';

/** Surveys begun on this device and not saved, to go on with. */
export function Drafts() {
  const say = useSay();
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
          {say('drafts.surveys-begun-on-this-device')}
        </h2>
      )}
      <ul>
        {drafts.map((draft) => (
          <li key={draft.treeId} className="flex flex-wrap items-center gap-4 border-b border-line py-1">
            <b className="w-48">{draft.label || say('drafts.tree-treeid', { treeId: draft.treeId })}</b>
            <span className="text-[14px] text-muted">
              {draft.limbs} {say('drafts.limbs', { limbs: draft.limbs })}
            </span>
            <Link
              to={`/trees/${draft.treeId}/survey`}
              className="min-h-9 content-center font-semibold underline underline-offset-4"
            >
              {say('drafts.go-on')}
            </Link>
            <Button
              weight="quiet"
              onClick={() => {
                const form = keptDraft(draft.treeId);
                dropDraft(draft.treeId);
                setDrafts(keptDrafts());
                setDone({
                  words: say('drafts.the-survey-of-label-is', { label: draft.label }),
                  undo: () => {
                    if (form) keepDraft(draft.treeId, form);
                    setDrafts(keptDrafts());
                    return Promise.resolve();
                  },
                });
              }}
            >
              {say('drafts.discard')}
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
