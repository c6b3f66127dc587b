import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type PlantingRequest } from '../api/client';
import { useSay } from '../text/say';
import { Failed } from '../ui/States';

/** The row of each option in its first, third, fifth, eighth and fifteenth year, all at one scale. */
export function Rows({ request }: { request: PlantingRequest }) {
  const say = useSay();
  const [open, setOpen] = useState(false);
  const rows = useQuery({
    queryKey: ['planting-rows', request.site, request.standing, request.options],
    enabled: open,
    queryFn: () => answer(api.POST('/api/plantings/rows', { body: request })),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    retry: false,
  });
  return (
    <details
      className="mt-6 border-t border-line pt-2"
      onToggle={(event) => {
        setOpen(event.currentTarget.open);
      }}
    >
      <summary className="min-h-9 content-center font-semibold">{say('plantings.rows-title')}</summary>
      {rows.isPending && open && <p className="text-muted">{say('plantings.rows-growing')}</p>}
      {rows.isError && <Failed error={rows.error} retry={() => void rows.refetch()} />}
      {rows.data?.map((option) => (
        <section
          key={option.name}
          className="mt-2"
          aria-label={say('plantings.row-of', { name: option.name })}
        >
          <h3 className="font-display text-[18px] font-bold">{option.name}</h3>
          {option.years.length === 0 && (
            <p className="text-[14px] text-muted">{say('plantings.row-not-drawn')}</p>
          )}
          <div className="grid grid-cols-5 gap-3 max-sm:grid-cols-2">
            {option.years.map((one) => (
              <figure key={one.year}>
                <div
                  role="img"
                  aria-label={say('plantings.row-in-year', { year: one.year, top: one.topM })}
                  dangerouslySetInnerHTML={{ __html: one.drawing }}
                />
                <figcaption className="text-[13px] text-muted">
                  {say('plantings.row-in-year', { year: one.year, top: one.topM })}
                </figcaption>
              </figure>
            ))}
          </div>
        </section>
      ))}
      {rows.data && <p className="mt-1 text-[13px] text-muted">{say('plantings.rows-key')}</p>}
    </details>
  );
}
