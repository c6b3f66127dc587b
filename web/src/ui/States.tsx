import { useSay } from '../text/say';
import { Problem } from '../api/problem';
import { useRouteError } from 'react-router';
import { Button } from './Button';

/** While something is fetched. */
export function Loading({ what }: { what: string }) {
  return (
    <p role="status" className="p-8 text-muted">
      {what}
    </p>
  );
}

/** When it could not be had: what happened, and what to do. */
export function Failed({ error, retry }: { error: unknown; retry?: () => void }) {
  const say = useSay();
  const words = error instanceof Error ? error.message : say('states.something-went-wrong');
  const gone = error instanceof Problem && error.status === 404;
  return (
    <div role="alert" className="m-8 max-w-prose border-l-4 border-lichen bg-lichen-wash p-4">
      <p className="font-semibold">{gone ? say('states.not-here') : say('states.that-did-not-work')}</p>
      <p>{words}</p>
      {retry && !gone && (
        <Button className="mt-3" onClick={retry}>
          {say('states.try-again')}
        </Button>
      )}
    </div>
  );
}

/** A page's own program was not to be had: there is no signal, or another release is served by now. */
export class PageNotFetched extends Error {
  constructor(cause: unknown) {
    super('a page was not fetched', { cause });
  }
}

/** Where a page came to grief, or did not arrive: then it is asked for once more with all that belongs to it. */
export function PageFailed() {
  const say = useSay();
  if (useRouteError() instanceof PageNotFetched) {
    const again = () => {
      window.location.reload();
    };
    return <Failed error={new Error(say('states.page-not-fetched'))} retry={again} />;
  }
  return <Failed error={new Error(say('states.page-failed'))} />;
}

/** Where an address leads nowhere. */
export function NoSuchPage() {
  const say = useSay();
  return <Failed error={new Error(say('states.no-such-page'))} />;
}
