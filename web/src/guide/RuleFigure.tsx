import type { RulePage } from '../api/client';

const DOTS = { fruit: 'var(--color-lichen)', light: '#e0b23c', shade: 'var(--color-later)' } as const;

/** A finding or a cut drawn in a few strokes: wood in ink, what is meant in tape, what it is measured by dashed; without a label
 * it only adorns words beside it. */
export function RuleFigure({ figure, label }: { figure: RulePage['figure']; label: string }) {
  return (
    <svg
      viewBox="0 0 100 100"
      role={label === '' ? undefined : 'img'}
      aria-hidden={label === '' || undefined}
      aria-label={label || undefined}
      className="h-[124px] w-[124px] shrink-0 bg-sand"
    >
      {figure.line.map((d) => (
        <path key={d} d={d} fill="none" stroke="var(--color-muted)" strokeWidth="1" strokeDasharray="3 2" />
      ))}
      {figure.wood.map((d) => (
        <path
          key={d}
          d={d}
          fill="none"
          stroke="var(--color-ink)"
          strokeWidth={d.startsWith('M50 98') ? 4.5 : 3}
          strokeLinecap="round"
        />
      ))}
      {figure.marked.map((d) => (
        <path key={d} d={d} fill="none" stroke="var(--color-tape)" strokeWidth="3" strokeLinecap="round" />
      ))}
      {figure.dots.map(({ x, y, kind }) => (
        <circle
          key={`${x} ${y}`}
          cx={x}
          cy={y}
          r={kind === 'light' ? 6 : 3.2}
          fill={DOTS[kind as keyof typeof DOTS]}
        />
      ))}
    </svg>
  );
}
