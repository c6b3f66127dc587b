import { useQuery } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Navigate, useParams } from 'react-router';
import { answer, api } from '../api/client';
import { ofFarm } from '../api/farm';
import { useWho } from '../people/who';
import { Loading } from '../ui/States';

/** Where a tree's tag leads: its work, in the farm it stands in. */
export function Tag() {
  const id = useParams()['id'] ?? '';
  const who = useWho();
  const several = who.farms > 1;
  const place = useQuery({
    queryKey: ['tag', id],
    enabled: several,
    retry: false,
    queryFn: () => answer(api.GET('/api/tags/{tree}', { params: { path: { tree: Number(id) } } })),
  });
  const elsewhere = place.data !== undefined && place.data.farm !== who.farm ? place.data.farm : null;
  useEffect(() => {
    if (elsewhere !== null) window.location.replace(ofFarm(elsewhere, `/field/trees/${id}`));
  }, [elsewhere, id]);
  if (elsewhere !== null || (several && place.isPending)) return <Loading what="…" />;
  return <Navigate replace to={`/field/trees/${id}`} />;
}
