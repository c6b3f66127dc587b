import { useState } from 'react';
import { branchesOf, withoutLimb, type LimbRow } from './form';

interface Props {
  limbs: LimbRow[];
  faults: ReadonlyMap<string, string>;
  edit: (key: string) => void;
  change: (limbs: LimbRow[]) => void;
  copy: (limb: LimbRow) => void;
  trunk: () => void;
}

/** Every limb measured so far, in walking order: to look over, change, copy, move or take out. */
export function LimbList({ limbs, faults, edit, change, copy, trunk }: Props) {
  const [leaving, setLeaving] = useState<string | null>(null);
  const move = (from: number, to: number) => {
    const next = [...limbs];
    const [one] = next.splice(from, 1);
    if (one) next.splice(to, 0, one);
    change(next);
  };
  const small = 'min-h-11 min-w-11 rounded-md border border-muted/40 px-1.5 text-[15px] disabled:opacity-35';
  return (
    <div>
      <div className="flex items-center justify-between">
        <h2 className="text-[20px] font-bold">
          {limbs.length} {limbs.length === 1 ? 'limb' : 'limbs'}
        </h2>
        <button type="button" className="min-h-11 px-2 text-[16px] font-semibold underline" onClick={trunk}>
          The trunk
        </button>
      </div>
      {limbs.length === 0 && <p className="text-muted">Begin with the lowest limb and walk up and round.</p>}
      <ul>
        {limbs.map((limb, i) => {
          const wrong = [...faults].find(([field]) => field.startsWith(`limbs[${i}]`));
          return (
            <li key={limb.key} className="border-b border-line py-1.5">
              <div className="flex items-center gap-1.5">
                <button
                  type="button"
                  className="min-h-11 min-w-0 flex-1 text-left"
                  onClick={() => {
                    edit(limb.key);
                  }}
                >
                  <b className="text-[17px]">{limb.id}</b>{' '}
                  <span className="text-[15px]">
                    {limb.at_cm} cm, {limb.bearing_deg}°, {limb.angle_deg}°, {limb.diameter_mm} mm,{' '}
                    {limb.length_cm} cm{limb.condition === 'sound' ? '' : `, ${limb.condition}`}
                  </span>
                </button>
                <button
                  type="button"
                  className={small}
                  aria-label={`Limb ${limb.id} earlier`}
                  disabled={i === 0}
                  onClick={() => {
                    move(i, i - 1);
                  }}
                >
                  ↑
                </button>
                <button
                  type="button"
                  className={small}
                  aria-label={`Copy limb ${limb.id}`}
                  onClick={() => {
                    copy(limb);
                  }}
                >
                  copy
                </button>
                <button
                  type="button"
                  className={small}
                  aria-label={`Remove limb ${limb.id}`}
                  onClick={() => {
                    if (branchesOf(limb.id, limbs).length === 0) change(withoutLimb(limb, limbs, 'remove'));
                    else setLeaving(leaving === limb.key ? null : limb.key);
                  }}
                >
                  ×
                </button>
              </div>
              {leaving === limb.key && (
                <div role="alert" className="mt-1 bg-lichen-wash p-2 text-[15px]">
                  <p>
                    It carries limb{' '}
                    {branchesOf(limb.id, limbs)
                      .map((one) => one.id)
                      .join(', ')}
                    .
                  </p>
                  <span className="mt-1 flex gap-2">
                    {(
                      [
                        ['remove', 'Remove all'],
                        ['move', `Keep, from ${limb.parent}`],
                      ] as const
                    ).map(([branches, words]) => (
                      <button
                        key={branches}
                        type="button"
                        className={`${small} px-3 font-semibold`}
                        onClick={() => {
                          setLeaving(null);
                          change(withoutLimb(limb, limbs, branches));
                        }}
                      >
                        {words}
                      </button>
                    ))}
                  </span>
                </div>
              )}
              {wrong && (
                <p role="alert" className="text-[14.5px] font-semibold text-lichen">
                  {wrong[1]}
                </p>
              )}
            </li>
          );
        })}
      </ul>
    </div>
  );
}
