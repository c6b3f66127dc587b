import { Link } from 'react-router';
import { useWho } from '../people/who';
import { useSay } from '../text/say';
import { SaveNote } from './SaveNote';
import type { Work } from './useWork';

/** How many steps are marked and whether they are saved; on to the sheet and the record. */
export function DeskFooter({ id, work }: { id: number; work: Work }) {
  const say = useSay();
  const { role } = useWho();
  return (
    <div className="flex items-center justify-between gap-3 border-t border-line px-5 py-2">
      <span className="text-[14px] text-muted">
        {work.marks.length === 0
          ? say('tree-desk.nothing-marked-yet')
          : say('tree-desk.length-steps-marked', { length: work.marks.length })}
        <span className="block text-[13px]">
          <SaveNote work={work} />
        </span>
      </span>
      <span className="flex gap-2">
        <Link
          to={`/trees/${id}/sheet`}
          className="rounded-md border border-muted/50 px-3 py-1.5 text-[14px] font-semibold hover:bg-sand"
        >
          {say('tree-desk.sheet')}
        </Link>
        {role !== 'adviser' && (
          <Link
            to={`/trees/${id}/record`}
            className="rounded-md bg-ink px-3 py-1.5 text-[14px] font-semibold text-paper hover:opacity-90"
          >
            {say('tree-desk.record-it')}
          </Link>
        )}
      </span>
    </div>
  );
}
