import { useState, type ReactNode } from 'react';
import { readNumber, showNumber } from '../ui/numbers';
import { namesIn } from './countForm';

const BOX = 'min-h-10 rounded-md border border-muted/50 bg-paper px-2 text-[15px]';

/** A field with its name over it. */
export function Named({ name, children }: { name: string; children: ReactNode }) {
  return (
    <label className="flex flex-col gap-0.5 text-[13px] text-muted">
      {name}
      {children}
    </label>
  );
}

/** A number as people write it; nothing where the field is empty. */
export function NumberField({
  name,
  value,
  set,
  width = 'w-20',
}: {
  name: string;
  value: number | null | undefined;
  set: (value: number | undefined) => void;
  width?: string;
}) {
  const [text, setText] = useState(() => showNumber(value));
  const read = readNumber(text);
  const shown = read === (value ?? undefined) || Number.isNaN(read) ? text : showNumber(value);
  return (
    <Named name={name}>
      <input
        inputMode="decimal"
        value={shown}
        aria-invalid={Number.isNaN(read)}
        onChange={(event) => {
          setText(event.target.value);
          const next = readNumber(event.target.value);
          if (!Number.isNaN(next)) set(next);
        }}
        className={`${BOX} ${width} text-ink aria-invalid:border-lichen`}
      />
    </Named>
  );
}

/** A choice of words; the first, empty one says that it was not looked at. */
export function ChoiceField({
  name,
  value,
  options,
  set,
}: {
  name: string;
  value: string | null | undefined;
  options: readonly (readonly [string, string])[];
  set: (value: string | undefined) => void;
}) {
  return (
    <Named name={name}>
      <select
        value={value ?? ''}
        onChange={(event) => {
          set(event.target.value === '' ? undefined : event.target.value);
        }}
        className={`${BOX} text-ink`}
      >
        {options.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </select>
    </Named>
  );
}

/** Names of others in a list, as they are typed; what is no name is dropped on leaving. */
export function NamesField({
  name,
  value,
  known,
  set,
}: {
  name: string;
  value: readonly string[] | undefined;
  known: readonly string[];
  set: (value: string[] | undefined) => void;
}) {
  const written = (value ?? []).join(', ');
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <Named name={name}>
      <input
        inputMode="numeric"
        value={typed ?? written}
        onChange={(event) => {
          setTyped(event.target.value);
        }}
        onBlur={() => {
          if (typed != null) set(namesIn(typed, known));
          setTyped(null);
        }}
        className={`${BOX} w-20 text-ink`}
      />
    </Named>
  );
}
