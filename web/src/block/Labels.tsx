import { inFarm } from '../api/farm';
import { useSay } from '../text/say';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../api/client';
import { useWho } from '../people/who';
import { Button } from '../ui/Button';

/** Labels for the trees; the address that stands on them is asked for once. */
export function Labels({ id }: { id: number }) {
  const say = useSay();
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
      window.location.assign(inFarm(`/api/blocks/${id}/labels.pdf`));
    },
  });
  if (set.data?.address) {
    return (
      <a className="font-semibold underline underline-offset-4" href={inFarm(`/api/blocks/${id}/labels.pdf`)}>
        {say('labels.labels-with-tag-codes')}
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
        {say('labels.labels-with-tag-codes')}
      </button>
      {asking && !who.keeper && <span role="status">{say('labels.the-grower-sets-the-address')}</span>}
      {asking && who.keeper && (
        <form
          className="flex basis-full flex-wrap items-center gap-2 bg-sand p-2"
          onSubmit={(event) => {
            event.preventDefault();
            save.mutate();
          }}
        >
          <label className="flex items-center gap-2">
            {say('labels.address-under-which-phones-reach')}
            <input
              value={address}
              onChange={(event) => {
                setAddress(event.target.value);
              }}
              className="min-h-9 w-72 rounded-md border border-muted/50 bg-paper px-2"
            />
          </label>
          <Button type="submit" weight="ink" disabled={save.isPending}>
            {say('labels.save-and-open-the-labels')}
          </Button>
          <span className="basis-full text-[13px] text-muted">
            {say('labels.it-stands-in-the-code', { message: save.error?.message })}
          </span>
        </form>
      )}
    </>
  );
}
