import { useSay } from '../text/say';
import { Link } from 'react-router';
import { useSync } from './useSync';
import { dropPhoto, photoAgain } from '../photo/pending';
import { sendAll } from './sendAll';
import { readMeanwhile, sendAgain } from './visits';

const BUTTON = 'min-h-11 content-center rounded-md border border-muted/50 bg-paper px-3 font-semibold';

/** What waits for signal, what was refused and can be mended, and what others did at the same tree. */
export function SyncNote() {
  const say = useSay();
  const { waits, photos, refused, refusedPhotos, others, online } = useSync();
  const nothing = waits + photos + refused.length + refusedPhotos.length + others.length === 0;
  if (nothing && online) return null;
  return (
    <div role="status" className="border-l-4 border-lichen bg-lichen-wash px-3 py-2 text-[16px]">
      {!online && <p>{say('field.offline')}</p>}
      {waits > 0 && <p>{say('field.waiting', { count: waits })}</p>}
      {photos > 0 && <p>{say('photo.waiting', { count: photos })}</p>}
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
                void sendAll();
              }}
            >
              {say('field.send-again')}
            </button>
          </span>
        </div>
      ))}
      {refusedPhotos.map((photo) => (
        <div key={photo.id} className="py-1">
          <p>
            <b>{photo.label}</b>: {say('photo.refused')} {photo.refused}
          </p>
          <span className="mt-1 flex flex-wrap gap-2">
            <button type="button" className={BUTTON} onClick={() => void photoAgain(photo.id).then(sendAll)}>
              {say('field.send-again')}
            </button>
            <button type="button" className={BUTTON} onClick={() => void dropPhoto(photo.id)}>
              {say('photo.remove')}
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
