import { say } from '../text/say';
import type { ReactNode } from 'react';
import { Problem } from '../api/problem';
import { Button } from '../ui/Button';

export const BOX = 'min-h-10 w-full rounded-md border border-muted/50 bg-paper px-2';

/** The names on screen of the fields that travel. */
const FIELD_NAMES: Record<string, string> = {
  get name() {
    return say('setup-sheet.name');
  },
  get latitudeDeg() {
    return say('setup-sheet.latitude');
  },
  get elevationM() {
    return say('setup-sheet.height-above-the-sea');
  },
  get timeZone() {
    return say('setup-sheet.time-zone');
  },
  get species() {
    return say('setup-sheet.kind-of-tree');
  },
  get system() {
    return say('setup-sheet.trained-as');
  },
  get cultivar() {
    return say('setup-sheet.cultivars');
  },
  get stock() {
    return say('setup-sheet.rootstock');
  },
  get plantedYear() {
    return say('setup-sheet.planted-in');
  },
  get treeCount() {
    return say('setup-sheet.trees');
  },
  get rows() {
    return say('setup-sheet.rows');
  },
  get placesPerRow() {
    return say('setup-sheet.places-in-the-longest-row');
  },
  get inRowM() {
    return say('setup-sheet.in-the-row');
  },
  get betweenRowsM() {
    return say('setup-sheet.between-rows');
  },
  get rowBearingDeg() {
    return say('setup-sheet.rows-run-towards');
  },
  get eastM() {
    return say('setup-sheet.east-of-zero');
  },
  get northM() {
    return say('setup-sheet.north-of-zero');
  },
  get row() {
    return say('setup-sheet.row');
  },
  get place() {
    return say('setup-sheet.place');
  },
};

function fieldName(field: string): string {
  return FIELD_NAMES[field] ?? say('setup-sheet.this-field');
}

/** A short form with what is wrong under it. */
export function SetupSheet({
  title,
  action,
  busy,
  ready,
  error,
  submit,
  children,
}: {
  title: string;
  action: string;
  busy: boolean;
  ready: boolean;
  error: unknown;
  submit: () => void;
  children: ReactNode;
}) {
  const problem = error instanceof Problem ? error : null;
  return (
    <form
      className="mt-3"
      onSubmit={(event) => {
        event.preventDefault();
        submit();
      }}
    >
      <h2 className="border-b-2 border-ink pb-1 text-[17px] font-bold">{title}</h2>
      <div className="grid grid-cols-[repeat(auto-fill,minmax(140px,1fr))] gap-3 pt-2">{children}</div>
      {problem && (
        <ul role="alert" className="mt-2 border-l-4 border-lichen bg-lichen-wash px-3 py-2">
          {(problem.errors.length > 0
            ? problem.errors.map((one) => `${fieldName(one.field)}: ${one.message}`)
            : [problem.message]
          ).map((words) => (
            <li key={words}>{words}</li>
          ))}
        </ul>
      )}
      <Button type="submit" weight="ink" className="mt-3" disabled={busy || !ready}>
        {action}
      </Button>
    </form>
  );
}

/** A field with its name over it. */
export function Labelled({
  name,
  wide = false,
  children,
}: {
  name: string;
  wide?: boolean;
  children: ReactNode;
}) {
  return (
    <label className={`text-[13px] ${wide ? 'col-span-full' : ''}`}>
      <span className="block text-muted">{name}</span>
      {children}
    </label>
  );
}
