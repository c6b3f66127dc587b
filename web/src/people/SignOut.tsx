import { useSay } from '../text/say';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api } from '../api/client';

/** Whose turn it is, and the way out. */
export function SignOut({ name }: { name: string }) {
  const say = useSay();
  const queries = useQueryClient();
  const leave = useMutation({
    mutationFn: () => api.DELETE('/api/session'),
    onSuccess: () => {
      queries.clear();
      window.location.assign('/');
    },
  });
  return (
    <>
      <Link to="/password" className="whitespace-nowrap px-1 text-muted hover:text-ink">
        {say('sign-out.password')}
      </Link>
      <button
        type="button"
        onClick={() => {
          leave.mutate();
        }}
        className="whitespace-nowrap px-1 text-muted hover:text-ink"
        title={say('sign-out.signed-in-as-name', { name })}
      >
        {say('sign-out.sign-out')}
      </button>
    </>
  );
}
