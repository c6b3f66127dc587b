import { useSay } from '../text/say';
import { Link } from 'react-router';
import { useSync } from './useSync';
import { readMeanwhile, sendAgain, sendWaiting } from './visits';

const BUTTON = 'min-h-11 content-center rounded-md border border-muted/50 bg-paper px-3 font-semibold';

/** What waits for signal, what was refused and can be mended, and what others did at the same tree. */
export function SyncNote() {
  const say = useSay();
  const { waits, refused, others, online } = useSync();
  if (waits === 0 && refused.length === 0 && others.length === 0 && online) return null;
  return (
    <div role="status" className="border-l-4 border-lichen bg-lichen-wash px-3 py-2 text-[16px]">
      {!online && <p>{say('field.offline')}</p>}
      {waits > 0 && <p>{say('field.waiting', { count: waits })}</p>}
      {refused.map((one) => (
        <div key={one.entry.clientId} className="py-1">
          <p>
            <b>{one.label}</b>: {say('field.refused')} {one.refused}
          </p>
          <span className="mt-1 flex flex-wrap gap-2">
            <Link className={BUTTON} to={`/field/trees/${one.treeId}`} state={{ mend: true }}>
              {say('field.mend')}
            </Link>
            <button
              type="button"
              className={BUTTON}
              onClick={() => {
                sendAgain(one.entry.clientId ?? '');
                void sendWaiting();
              }}
            >
              {say('field.send-again')}
            </button>
          </span>
        </div>
      ))}
      {others.map((one, i) => (
        <div key={i} className="py-1">
          <p>
            <b>{one.label}</b>: {say('field.others', { who: one.who, done: one.done.join('; ') || 'none' })}
          </p>
          <button
            type="button"
            className={`${BUTTON} mt-1`}
            onClick={() => {
              readMeanwhile(one.treeId);
            }}
          >
            {say('field.understood')}
          </button>
        </div>
      ))}
    </div>
  );
}
