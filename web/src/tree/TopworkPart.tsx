import { useSay } from '../text/say';
import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../api/client';
import { Failed, Loading } from '../ui/States';

/** The tree cut to a stump and grafted anew, season by season, beside keeping it and planting another in its place. */
export function TopworkPart({ id }: { id: number }) {
  const say = useSay();
  const [open, setOpen] = useState(false);
  const topwork = useQuery({
    queryKey: ['topwork', id],
    enabled: open,
    queryFn: () => answer(api.GET('/api/trees/{id}/topwork', { params: { path: { id } } })),
  });
  const plan = topwork.data;
  const kg = (value: number) => say('measure.kg', { kg: Math.round(value) });
  return (
    <details
      className="mx-5 mb-5 border-t border-line pt-3 text-[14px]"
      onToggle={(event) => {
        setOpen(event.currentTarget.open);
      }}
    >
      <summary className="font-semibold">{say('topwork.stump-and-graft')}</summary>
      {topwork.isError && <Failed error={topwork.error} retry={() => void topwork.refetch()} />}
      {topwork.isLoading && <Loading what={say('topwork.working-it-out')} />}
      {plan?.against.map((reason) => (
        <p key={reason} className="mt-2 text-lichen">
          {reason}
        </p>
      ))}
      {plan?.possible && (
        <>
          <p className="mt-2">
            {say('topwork.stump', {
              height: plan.stumpHeightCm,
              thick: plan.stumpDiameterMm,
              grafts: plan.grafts,
              minutes: Math.round(plan.minutes),
              mass: kg(plan.massKg),
            })}
          </p>
          <table className="mt-2 w-full text-[13.5px]">
            <caption className="pb-1 text-left text-[12.5px] text-muted">
              {say('topwork.crop-by-season')}
            </caption>
            <thead>
              <tr className="border-b border-line text-left text-[12.5px] text-muted">
                <th className="font-normal">{say('topwork.season')}</th>
                <th className="font-normal">{say('topwork.grafted')}</th>
                <th className="font-normal">{say('topwork.kept')}</th>
                <th className="font-normal">{say('topwork.replanted')}</th>
              </tr>
            </thead>
            <tbody>
              {plan.seasons.map((one) => (
                <tr key={one.year} className="border-b border-line">
                  <td className="py-0.5">{one.year + 1}</td>
                  <td className="font-semibold">{kg(one.topworkedKg)}</td>
                  <td>{kg(one.keptKg)}</td>
                  <td>{kg(one.replantedKg)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <ol className="mt-3 space-y-2">
            {plan.seasons
              .filter((one) => one.work.length > 0)
              .map((one) => (
                <li key={one.year}>
                  <b>{say('topwork.season-n', { n: one.year + 1 })}</b>
                  <ul className="ml-4 list-disc">
                    {one.work.map((work) => (
                      <li key={work}>{work}</li>
                    ))}
                  </ul>
                </li>
              ))}
          </ol>
          <p className="mt-2 text-[12.5px] text-muted">{say('topwork.rests-on')}</p>
        </>
      )}
    </details>
  );
}
