import { term } from '../text/term';
import { useSay } from '../text/say';
import { useState } from 'react';
import type { LimbLine } from '../api/client';
import { percent } from '../ui/words';

interface Props {
  limbs: LimbLine[];
  going: ReadonlySet<string>;
  onPoint: (limbs: string[]) => void;
  onSelect: (limb: string) => void;
}

/** Every measured limb in survey order: the drawing's list for hand and screen reader. */
export function LimbsPanel({ limbs, going, onPoint, onSelect }: Props) {
  const say = useSay();
  const [sought, setSought] = useState('');
  const shown = limbs.filter((limb) =>
    `${limb.id} ${term(limb.role)} ${limb.conditions.map(term).join(' ')}`.includes(sought.toLowerCase()),
  );
  return (
    <div>
      <div className="border-b border-line px-5 py-2">
        <input
          type="search"
          aria-label={say('limbs-panel.search-limbs')}
          placeholder={say('limbs-panel.limb-role-or-condition')}
          value={sought}
          onChange={(event) => {
            setSought(event.target.value);
          }}
          className="min-h-9 w-full bg-paper"
        />
      </div>
      {shown.length === 0 && <p className="p-5 text-muted">{say('limbs-panel.no-limb-answers-to-that')}</p>}
      <ul aria-label={say('limbs-panel.limbs')}>
        {shown.map((limb) => (
          <li key={limb.id} className="border-b border-line">
            <button
              type="button"
              className="grid w-full grid-cols-[44px_1fr_auto] items-baseline gap-3 px-5 py-1.5 text-left hover:bg-sand"
              onMouseEnter={() => {
                onPoint([limb.id]);
              }}
              onMouseLeave={() => {
                onPoint([]);
              }}
              onFocus={() => {
                onPoint([limb.id]);
              }}
              onBlur={() => {
                onPoint([]);
              }}
              onClick={() => {
                onSelect(limb.id);
              }}
            >
              <b className={going.has(limb.id) ? 'text-tape' : ''}>{limb.id}</b>
              <span className="text-[14px]">
                {term(limb.role)}
                {limb.conditions.length > 0 && <b className="text-lichen"> {limb.conditions.join(', ')}</b>}
                <span className="block text-[13px] text-muted">
                  {say('limbs-panel.diametermm-mm-lengthcm-cm-angledeg', {
                    diameterMm: limb.diameterMm,
                    lengthCm: limb.lengthCm,
                    angleDeg: limb.angleDeg,
                    bearingDeg: limb.bearingDeg,
                  })}
                </span>
              </span>
              <span className="text-[13px] text-muted">
                {going.has(limb.id) ? (
                  <b className="text-tape">{say('limbs-panel.marked')}</b>
                ) : limb.light == null ? (
                  ''
                ) : (
                  say('limbs-panel.light-light', { light: percent(limb.light) })
                )}
              </span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}
