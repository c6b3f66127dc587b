import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Instruction } from '../api/client';
import { locale } from '../text/language';
import { useSay } from '../text/say';
import { percent } from '../ui/words';

/** What the sentences bring against the trees' own plans, what they take, and the trees they were held against. */
export function Brings({ instruction, all }: { instruction: Instruction; all: number }) {
  const say = useSay();
  const hours = (count: number) => Math.round((count * all) / 60).toLocaleString(locale());
  const { before, after, planned } = instruction;
  return (
    <aside aria-label={say('instruction.what-it-brings')}>
      <h2 className="border-b-2 border-ink pb-2 text-[20px] font-bold">
        {say('instruction.what-it-brings')}
      </h2>
      {instruction.share != null && (
        <p className="pt-2">
          <b className="block font-display text-[34px] leading-none">{percent(instruction.share)}</b>
          {say('instruction.of-the-gain', {
            agreeing: instruction.agreeing,
            trees: instruction.trees.length,
          })}
        </p>
      )}
      {instruction.tooUnlike && (
        <p className="mt-2 border-l-4 border-lichen pl-2">{say('instruction.too-unlike')}</p>
      )}
      <dl className="mt-3 grid grid-cols-[1fr_auto] gap-x-4 gap-y-1 text-[14.5px]">
        <Fact name={say('instruction.a-tree')}>
          {say('instruction.minutes', {
            low: tenths(instruction.minutes.low),
            high: tenths(instruction.minutes.high),
          })}
        </Fact>
        <Fact name={say('instruction.the-block')}>
          {say('instruction.hours', {
            low: hours(instruction.minutes.low),
            high: hours(instruction.minutes.high),
          })}
        </Fact>
        <Fact name={say('instruction.own-plans')}>
          {say('instruction.minutes-mean', { minutes: tenths(instruction.plannedMinutes) })}
        </Fact>
        <Fact name={say('instruction.cuts')}>
          {say('instruction.range', {
            low: Math.round(instruction.cuts.low),
            high: Math.round(instruction.cuts.high),
          })}
        </Fact>
        <Fact name={say('instruction.ties')}>
          {Math.round(instruction.tiesATree * all).toLocaleString(locale())}
        </Fact>
      </dl>
      <table className="mt-3 w-full text-[14.5px]">
        <thead className="text-muted">
          <tr>
            <td />
            <th className="text-right font-normal">{say('instruction.found')}</th>
            <th className="text-right font-normal">{say('instruction.after')}</th>
            <th className="text-right font-normal">{say('instruction.by-plan')}</th>
          </tr>
        </thead>
        <tbody>
          <tr className="border-t border-line">
            <th className="text-left font-normal">{say('instruction.in-shade')}</th>
            <td className="text-right">{percent(before.shade)}</td>
            <td className="text-right font-semibold">{percent(after.shade)}</td>
            <td className="text-right">{percent(planned.shade)}</td>
          </tr>
          <tr className="border-t border-line">
            <th className="text-left font-normal">{say('instruction.crop')}</th>
            <td className="text-right">{percent(before.crop)}</td>
            <td className="text-right font-semibold">{percent(after.crop)}</td>
            <td className="text-right">{percent(planned.crop)}</td>
          </tr>
        </tbody>
      </table>
      <details className="mt-3 text-[14.5px]">
        <summary className="min-h-9 content-center font-semibold">{say('instruction.tree-by-tree')}</summary>
        <p className="text-[13.5px] text-muted">{say('instruction.left-out')}</p>
        <ul>
          {instruction.trees.map((one) => (
            <li key={one.treeId} className="grid grid-cols-[1fr_auto] gap-2 border-b border-line py-1">
              <Link to={`/trees/${one.treeId}`} className="underline-offset-4 hover:underline">
                {one.agrees ? '✓ ' : ''}
                {one.tree}
              </Link>
              <span>
                {one.share == null
                  ? say('instruction.needs-none')
                  : say('instruction.share-and-limbs', {
                      share: percent(one.share),
                      limbs: one.otherwise,
                    })}
              </span>
            </li>
          ))}
        </ul>
      </details>
    </aside>
  );
}

function Fact({ name, children }: { name: string; children: ReactNode }) {
  return (
    <>
      <dt className="text-muted">{name}</dt>
      <dd className="text-right font-semibold">{children}</dd>
    </>
  );
}

function tenths(count: number): string {
  return count.toLocaleString(locale(), { minimumFractionDigits: 1, maximumFractionDigits: 1 });
}
