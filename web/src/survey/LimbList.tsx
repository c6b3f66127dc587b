import { term } from '../text/term';
import { useSay } from '../text/say';
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
  const say = useSay();
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
          {limbs.length} {say('limb-list.limbs', { length: limbs.length })}
        </h2>
        <button type="button" className="min-h-11 px-2 text-[16px] font-semibold underline" onClick={trunk}>
          {say('limb-list.the-trunk')}
        </button>
      </div>
      {limbs.length === 0 && <p className="text-muted">{say('limb-list.begin-with-the-lowest-limb')}</p>}
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
                    {say('limb-list.atcm-cm-bearingdeg-angledeg-diametermm', {
                      atcm: limb.at_cm,
                      bearingdeg: limb.bearing_deg,
                      angledeg: limb.angle_deg,
                      diametermm: limb.diameter_mm,
                      lengthcm: limb.length_cm,
                      part: limb.condition === 'sound' ? '' : `, ${term(limb.condition)}`,
                    })}
                  </span>
                </button>
                <button
                  type="button"
                  className={small}
                  aria-label={say('limb-list.limb-id-earlier', { id: limb.id })}
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
                  aria-label={say('limb-list.copy-limb-id', { id: limb.id })}
                  onClick={() => {
                    copy(limb);
                  }}
                >
                  {say('limb-list.copy')}
                </button>
                <button
                  type="button"
                  className={small}
                  aria-label={say('limb-list.remove-limb-id', { id: limb.id })}
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
                    {say('limb-list.it-carries-limb-branchesof', {
                      branchesOf: branchesOf(limb.id, limbs)
                        .map((one) => one.id)
                        .join(', '),
                    })}
                  </p>
                  <span className="mt-1 flex gap-2">
                    {(
                      [
                        ['remove', say('limb-list.remove-all')],
                        ['move', say('limb-list.keep-from-parent', { parent: limb.parent })],
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
