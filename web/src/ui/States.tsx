import { Problem } from '../api/problem';
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
  const words = error instanceof Error ? error.message : 'Something went wrong.';
  const gone = error instanceof Problem && error.status === 404;
  return (
    <div role="alert" className="m-8 max-w-prose border-l-4 border-lichen bg-lichen-wash p-4">
      <p className="font-semibold">{gone ? 'Not here' : 'That did not work'}</p>
      <p>{words}</p>
      {retry && !gone && (
        <Button className="mt-3" onClick={retry}>
          Try again
        </Button>
      )}
    </div>
  );
}
