import { useEffect, useRef } from 'react';
import { useSay } from '../text/say';
import { Nothing } from './Nothing';
import { RuleFigure } from './RuleFigure';
import type { Has } from './has';
import { useRules } from './useRules';

/** What is looked for on a tree, drawn, with what to do; `chosen` is the one that was asked about. */
export function RuleList({ chosen, has }: { chosen: string | null; has: Has }) {
  const say = useSay();
  const target = useRef<HTMLLIElement>(null);
  const shown = useRules().filter((page) => has(page.name, page.sees, page.why, page.does));
  const there = shown.some((page) => page.id === chosen);
  useEffect(() => {
    if (there) target.current?.scrollIntoView({ block: 'center' });
  }, [chosen, there]);
  if (shown.length === 0) return <Nothing />;
  return (
    <ul className="grid grid-cols-2 gap-x-8 max-md:grid-cols-1">
      {shown.map((page) => (
        <li
          key={page.id}
          ref={page.id === chosen ? target : undefined}
          className={`flex gap-4 border-b border-line py-4 ${page.id === chosen ? 'bg-lichen-wash' : ''}`}
        >
          <RuleFigure figure={page.figure} label={say('guide-page.name-drawn', { name: page.name })} />
          <div className="min-w-0 text-[14.5px]">
            <h2 className="text-[17px] font-bold">{page.name}</h2>
            <p>{page.sees}</p>
            <p className="mt-1 text-muted">{page.why}</p>
            <p className="mt-1">
              <b>{say('guide-page.do')}</b> {page.does}
            </p>
          </div>
        </li>
      ))}
    </ul>
  );
}
