import { useSay } from '../text/say';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api } from '../api/client';

/** Whose turn it is, and the way out. */
export function SignOut({
  name,
  className,
  onLeave,
}: {
  name: string;
  className: string;
  /** Called when the page is left by it. */
  onLeave: () => void;
}) {
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
      <Link to="/password" className={className} onClick={onLeave}>
        {say('sign-out.password')}
      </Link>
      <button
        type="button"
        onClick={() => {
          leave.mutate();
        }}
        className={className}
        title={say('sign-out.signed-in-as-name', { name })}
      >
        {say('sign-out.sign-out')}
      </button>
    </>
  );
}
