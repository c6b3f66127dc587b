import { useEffect, useRef } from 'react';
import type { Guide } from '../api/client';
import { useSay } from '../text/say';
import { RuleFigure } from './RuleFigure';

const GROUPS = ['cut', 'renovation', 'summer', 'tool', 'wound', 'safety'] as const;

/** How each piece of work is done, the right way drawn beside the usual mistake; `chosen` is an operation a step asked about. */
export function Cuts({
  cuts,
  chosen,
  has,
}: {
  cuts: Guide['cuts'];
  chosen: string | null;
  has: (...texts: string[]) => boolean;
}) {
  const say = useSay();
  const asked = useRef<HTMLLIElement>(null);
  useEffect(() => {
    asked.current?.scrollIntoView({ block: 'start' });
  }, [chosen]);
  const titles: Record<string, string> = {
    cut: say('guide-cuts.cuts'),
    renovation: say('guide-cuts.renovation'),
    summer: say('guide-cuts.summer'),
    tool: say('guide-cuts.tools'),
    wound: say('guide-cuts.wounds'),
    safety: say('guide-cuts.safety'),
  };
  const shown = cuts.filter((one) => has(one.name, one.does, one.why, one.goes));
  if (shown.length === 0) {
    return (
      <p role="status" className="py-6 text-muted">
        {say('guide-page.nothing-here-answers-to-that')}
      </p>
    );
  }
  return GROUPS.map((group) => {
    const here = shown.filter((one) => one.group === group);
    return here.length === 0 ? null : (
      <section key={group} aria-label={titles[group]}>
        <h2 className="pt-5 pb-1 text-[20px] font-bold">{titles[group]}</h2>
        <ul className="grid grid-cols-2 gap-x-8 max-md:grid-cols-1">
          {here.map((one) => {
            const on = chosen !== null && one.operations.includes(chosen);
            return (
              <li
                key={one.id}
                ref={on ? asked : undefined}
                className={`border-b border-line py-4 text-[15px] ${on ? 'bg-sand px-3' : ''}`}
              >
                <h3 className="text-[17px] font-bold">{one.name}</h3>
                {one.figures.length > 0 && (
                  <div className="flex gap-4 py-2">
                    {one.figures.map((figure, i) => (
                      <figure key={i}>
                        <RuleFigure figure={figure} label={i === 0 ? one.name : one.goes} />
                        <figcaption className="text-[13px] text-muted">
                          {i === 0 ? say('guide-cuts.right') : say('guide-cuts.wrong')}
                        </figcaption>
                      </figure>
                    ))}
                  </div>
                )}
                <p>{one.does}</p>
                <p className="text-muted">{one.why}</p>
                <p>
                  <b>{say('guide-cuts.goes-wrong')}</b> {one.goes}
                </p>
              </li>
            );
          })}
        </ul>
      </section>
    );
  });
}
