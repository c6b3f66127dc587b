import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api } from '../api/client';
import { useSay } from '../text/say';
import { Failed } from '../ui/States';

/** A training system's tree in the years in which it is formed, drawn when it is opened. */
export function FirstYears({ system, name }: { system: string; name: string }) {
  const say = useSay();
  const [open, setOpen] = useState(false);
  const drawn = useQuery({
    queryKey: ['guide', 'years', system],
    enabled: open,
    queryFn: () => answer(api.GET('/api/guide/systems/{id}/years', { params: { path: { id: system } } })),
    staleTime: Infinity,
  });
  return (
    <details
      className="mt-1"
      onToggle={(event) => {
        setOpen(event.currentTarget.open);
      }}
    >
      <summary className="min-h-9 content-center text-[14px] font-semibold">
        {say('guide-years.title', { name })}
      </summary>
      {open && drawn.isPending && <p className="text-muted">{say('guide-years.drawing')}</p>}
      {drawn.isError && <Failed error={drawn.error} retry={() => void drawn.refetch()} />}
      {drawn.data && (
        <>
          <div className="grid grid-cols-5 gap-3 max-sm:grid-cols-2">
            {drawn.data.map((one) => (
              <figure key={one.leaf}>
                <div
                  role="img"
                  className="[&_svg]:mx-auto [&_svg]:max-h-64 [&_svg]:max-w-full"
                  aria-label={say('guide-years.leaf', { leaf: one.leaf, top: one.topM })}
                  dangerouslySetInnerHTML={{ __html: one.drawing }}
                />
                <figcaption className="text-[13px] text-muted">
                  {say('guide-years.leaf', { leaf: one.leaf, top: one.topM })}
                </figcaption>
              </figure>
            ))}
          </div>
          <p className="text-[13px] text-muted">{say('guide-years.key')}</p>
        </>
      )}
    </details>
  );
}
