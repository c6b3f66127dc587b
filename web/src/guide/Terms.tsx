import { useEffect, useRef } from 'react';
import type { Guide } from '../api/client';
import { useSay } from '../text/say';
import { named } from '../text/term';
import { Nothing } from './Nothing';
import type { Has } from './has';

const GROUPS = ['part', 'bud', 'cut', 'training', 'growth', 'crop'] as const;

/** A tree with its parts named, and the words of the trade in both languages; `chosen` is the one that was pointed at. */
export function Terms({
  guide,
  chosen,
  has,
  choose,
}: {
  guide: Guide;
  chosen: string | null;
  has: Has;
  choose: (term: string) => void;
}) {
  const say = useSay();
  const asked = useRef<HTMLDivElement>(null);
  useEffect(() => {
    asked.current?.scrollIntoView({ block: 'center' });
  }, [chosen]);
  const shown = guide.terms.filter((one) => has(one.name, one.other, one.means));
  if (shown.length === 0) return <Nothing />;
  return (
    <>
      {shown.length === guide.terms.length && (
        <div
          role="img"
          aria-label={say('guide-terms.drawing')}
          className="mt-4 overflow-x-auto bg-sand p-2 text-ink [&_[data-term]]:cursor-pointer [&_svg]:mx-auto [&_svg]:h-auto [&_svg]:w-full [&_svg]:max-w-[760px] [&_svg]:min-w-[620px]"
          onClick={(event) => {
            const at = (event.target as Element).closest('[data-term]')?.getAttribute('data-term');
            if (at) choose(at);
          }}
          dangerouslySetInnerHTML={{ __html: guide.parts }}
        />
      )}
      {GROUPS.map((group) => {
        const here = shown.filter((one) => one.group === group);
        return here.length === 0 ? null : (
          <section key={group} aria-label={named('guide-terms-group', group)}>
            <h2 className="pt-5 text-[20px] font-bold">{named('guide-terms-group', group)}</h2>
            <dl className="grid grid-cols-2 gap-x-8 max-md:grid-cols-1">
              {here.map((one) => (
                <div
                  key={one.id}
                  ref={one.id === chosen ? asked : undefined}
                  className={`border-b border-line py-2 text-[15px] ${one.id === chosen ? 'bg-lichen-wash px-2' : ''}`}
                >
                  <dt>
                    <b>{one.name}</b> <span className="text-muted">{one.other}</span>
                  </dt>
                  <dd>{one.means}</dd>
                </div>
              ))}
            </dl>
          </section>
        );
      })}
    </>
  );
}
