import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../api/client';
import { useWho } from '../people/who';
import { Button } from '../ui/Button';

/** Labels for the trees; the address that stands on them is asked for once. */
export function Labels({ id }: { id: number }) {
  const set = useQuery({
    queryKey: ['public-address'],
    queryFn: () => answer(api.GET('/api/settings/public-address')),
  });
  const [asking, setAsking] = useState(false);
  const [address, setAddress] = useState(() => window.location.origin);
  const who = useWho();
  const queries = useQueryClient();
  const save = useMutation({
    mutationFn: () => answer(api.PUT('/api/settings/public-address', { body: { address } })),
    onSuccess: (kept) => {
      queries.setQueryData(['public-address'], kept);
      setAsking(false);
      window.location.assign(`/api/blocks/${id}/labels.pdf`);
    },
  });
  if (set.data?.address) {
    return (
      <a className="font-semibold underline underline-offset-4" href={`/api/blocks/${id}/labels.pdf`}>
        Labels with tag codes
      </a>
    );
  }
  return (
    <>
      <button
        type="button"
        className="font-semibold underline underline-offset-4"
        onClick={() => {
          setAsking(!asking);
        }}
      >
        Labels with tag codes
      </button>
      {asking && who.role !== 'grower' && (
        <span role="status">The grower sets the address that stands on the labels first.</span>
      )}
      {asking && who.role === 'grower' && (
        <form
          className="flex basis-full flex-wrap items-center gap-2 bg-sand p-2"
          onSubmit={(event) => {
            event.preventDefault();
            save.mutate();
          }}
        >
          <label className="flex items-center gap-2">
            Address under which phones reach Umbel
            <input
              value={address}
              onChange={(event) => {
                setAddress(event.target.value);
              }}
              className="min-h-9 w-72 rounded-md border border-muted/50 bg-paper px-2"
            />
          </label>
          <Button type="submit" weight="ink" disabled={save.isPending}>
            Save and open the labels
          </Button>
          <span className="basis-full text-[13px] text-muted">
            It stands in the code on every label, so choose one that will stay. {save.error?.message}
          </span>
        </form>
      )}
    </>
  );
}
