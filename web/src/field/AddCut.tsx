import { MeasureInput } from '../ui/MeasureInput';
import { useSay } from '../text/say';
import { typedNumber } from '../ui/numbers';
import { useState } from 'react';
import type { FieldSheet, Mark } from '../api/client';
import type { OpenVisit } from './visits';

type Kind = 'remove' | 'shorten' | 'uprights' | 'words';

interface Props {
  limbs: FieldSheet['limbs'];
  added: OpenVisit['added'];
  add: (cut: OpenVisit['added'][number]) => void;
  takeBack: (index: number) => void;
}

const INPUT = 'min-h-12 rounded-md border border-muted/50 bg-paper px-2';

/** A cut nobody had marked: which limb, what was done to it, and why; or just words. */
export function AddCut({ limbs, added, add, takeBack }: Props) {
  const say = useSay();
  const [limb, setLimb] = useState('');
  const [kind, setKind] = useState<Kind>('remove');
  const [at, setAt] = useState('');
  const [why, setWhy] = useState('');
  const length = limbs.find((one) => one.id === limb)?.length_cm ?? 0;
  const mark = markOf(kind, limb, typedNumber(at));
  const whole = kind === 'words' ? why.trim() !== '' : limb !== '';
  const fits = kind !== 'shorten' || (typedNumber(at) > 0 && typedNumber(at) < length);
  const kinds: [Kind, string][] = [
    ['remove', say('field.add-remove')],
    ['shorten', say('field.add-shorten')],
    ['uprights', say('field.add-uprights')],
    ['words', say('field.add-other')],
  ];
  return (
    <details className="border-b border-line pb-2">
      <summary className="min-h-11 content-center font-semibold">
        {say('field.add')}
        {added.length > 0 ? ` (${added.length})` : ''}
      </summary>
      <ul>
        {added.map((one, i) => (
          <li key={`${one.limb} ${one.reason}`} className="flex items-center justify-between gap-2">
            {one.reason}
            <button
              type="button"
              className="min-h-11 px-2 underline underline-offset-4"
              onClick={() => {
                takeBack(i);
              }}
            >
              {say('field.undo')}
            </button>
          </li>
        ))}
      </ul>
      <label className="mt-1 flex items-center gap-2">
        {say('field.add-limb')}
        <select
          value={limb}
          onChange={(event) => {
            setLimb(event.target.value);
          }}
          className={`${INPUT} min-w-0 flex-1`}
        >
          <option value="" />
          {limbs.map((one) => (
            <option key={one.id} value={one.id}>
              {say('add-cut.id-diametermm-mm-lengthcm-cm', {
                id: one.id,
                diametermm: one.diameter_mm,
                lengthcm: one.length_cm,
              })}
            </option>
          ))}
        </select>
      </label>
      <div className="mt-2 grid grid-cols-2 gap-2" role="group" aria-label={say('field.add-what')}>
        {kinds.map(([one, text]) => (
          <button
            key={one}
            type="button"
            aria-pressed={kind === one}
            onClick={() => {
              setKind(one);
            }}
            className={`min-h-12 rounded-md border px-2 text-[16px] ${kind === one ? 'border-ink bg-ink text-paper' : 'border-muted/50'}`}
          >
            {text}
          </button>
        ))}
      </div>
      {kind === 'shorten' && (
        <label className="mt-2 flex items-center gap-2">
          {say('field.add-at')}
          <MeasureInput inputMode="numeric" value={at} unit="cm" change={setAt} className={`${INPUT} w-24`} />
          {say('add-cut.cm')}
        </label>
      )}
      <div className="mt-2 flex gap-2">
        <input
          aria-label={say('field.add-why')}
          placeholder={say('field.add-why')}
          value={why}
          onChange={(event) => {
            setWhy(event.target.value);
          }}
          className={`${INPUT} min-w-0 flex-1`}
        />
        <button
          type="button"
          aria-label={say('field.add')}
          disabled={!whole || !fits}
          onClick={() => {
            const text = kinds.find(([one]) => one === kind)?.[1] ?? '';
            const told =
              kind === 'words'
                ? why.trim()
                : [`${limb}: ${text}${kind === 'shorten' ? say('add-cut.at-cm', { at }) : ''}`, why.trim()]
                    .filter((part) => part !== '')
                    .join(', ');
            add({ limb: limb === '' ? 'trunk' : limb, reason: told, mark });
            setLimb('');
            setAt('');
            setWhy('');
          }}
          className="min-h-12 min-w-12 rounded-md border border-ink text-[22px] font-bold disabled:opacity-45"
        >
          +
        </button>
      </div>
    </details>
  );
}

function markOf(kind: Kind, limb: string, at: number): Mark {
  switch (kind) {
    case 'remove':
      return { operation: 'remove', limb };
    case 'shorten':
      return { operation: 'shorten', limb, at_cm: at };
    case 'uprights':
      return { operation: 'remove', limb: `${limb}/shoots/up` };
    case 'words':
      return { operation: 'watch', limb: limb === '' ? 'trunk' : limb };
  }
}
