import { locale } from '../text/language';
import { useSay } from '../text/say';
import type { Household, HouseholdTold } from './household';

type Fence = NonNullable<HouseholdTold['fence']>;

/** The trees along the fence, to scale, with what fits beside them and the net over them. */
export function FenceFigure({
  told,
  fence,
  wish,
  names,
}: {
  told: HouseholdTold;
  fence: Fence;
  wish: Household;
  names: readonly string[];
}) {
  const say = useSay();
  const length = wish.fence?.length_m ?? 0;
  const height = wish.fence?.height_m ?? 0;
  const stands = (wish.trees ?? []).flatMap((tree, i) =>
    fence.notFlat.includes(i) ? [] : Array.from({ length: tree.count ?? 1 }, () => i),
  );
  const places = stands.map((line, i) => ({
    line,
    from: stands.slice(0, i).reduce((sum, one) => sum + (told.trees[one]?.roomM ?? 0), 0),
  }));
  const wide = Math.max(length, fence.usedM, 1);
  const top = Math.max(height, ...stands.map((line) => told.trees[line]?.heightM ?? 0), 1) * 1.1;
  const list = (lines: readonly number[]) =>
    new Intl.ListFormat(locale()).format(lines.map((line) => names[line] ?? ''));
  const more = fence.more.flatMap((count, i) =>
    count > 0 ? [say('household.more', { count, name: names[i] ?? '' })] : [],
  );
  return (
    <section className="mt-6 border-t border-line pt-2" aria-label={say('household.fence')}>
      <h2 className="text-[18px] font-bold">{say('household.fence')}</h2>
      <svg
        viewBox={`-0.4 ${-top} ${wide + 0.8} ${top + 0.5}`}
        className="mt-2 max-h-56 w-full bg-sand"
        role="img"
        aria-label={say('household.fence-drawn', { trees: stands.length, length })}
      >
        <rect x={0} y={-height} width={length} height={height} className="fill-line/60" />
        {places.map(({ line, from }, i) => {
          const tree = told.trees[line];
          if (!tree) return null;
          const middle = from + tree.roomM / 2;
          const arms = Array.from({ length: 3 }, (_, k) => (tree.heightM * (k + 1)) / 3.4);
          return (
            <g key={i} className="stroke-ink" strokeLinecap="round" fill="none">
              <path d={`M${middle} 0V${-tree.heightM}`} strokeWidth={0.09} />
              {arms.map((at) => (
                <path
                  key={at}
                  d={`M${middle - 0.46 * tree.roomM} ${-at}H${middle + 0.46 * tree.roomM}`}
                  strokeWidth={0.05}
                />
              ))}
              <text
                x={middle}
                y={0.42}
                textAnchor="middle"
                fontSize={0.42}
                className="fill-ink stroke-none font-semibold"
              >
                {line + 1}
              </text>
            </g>
          );
        })}
        <path d={`M-0.4 0H${wide + 0.4}`} className="stroke-muted" strokeWidth={0.05} />
      </svg>
      <ul className="pt-2 text-[15px]">
        <li className={fence.leftM < 0 ? 'font-semibold text-lichen' : ''}>
          {fence.leftM < 0
            ? say('household.too-long', { over: -fence.leftM, used: fence.usedM })
            : say('household.left', { left: fence.leftM, used: fence.usedM })}{' '}
          {more.length > 0 &&
            say('household.room-for', {
              what: new Intl.ListFormat(locale(), { type: 'disjunction' }).format(more),
            })}
        </li>
        {fence.tooHigh.length > 0 && (
          <li>{say('household.too-high', { names: list(fence.tooHigh), count: fence.tooHigh.length })}</li>
        )}
        {fence.notFlat.length > 0 && (
          <li>{say('household.not-flat', { names: list(fence.notFlat), count: fence.notFlat.length })}</li>
        )}
        {fence.netM2 > 0 && (
          <li>
            {say('household.net', {
              area: fence.netM2,
              mesh: fence.netMeshMm,
              birds: fence.netMeshMm > 5 ? 'birds' : 'insects',
            })}
          </li>
        )}
      </ul>
    </section>
  );
}
