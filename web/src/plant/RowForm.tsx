import type { CountSurvey } from '../api/client';
import { useSay } from '../text/say';
import { NumberField } from './CountFields';
import { classOf, withClass, type RowCanes } from './countForm';

const CLASSES = ['fruited', 'new', 'current'] as const;

/** A stretch of a row by its counts. */
export function RowForm({ survey, set }: { survey: CountSurvey; set: (next: CountSurvey) => void }) {
  const say = useSay();
  const row = survey.row ?? {};
  const change = (part: Partial<NonNullable<CountSurvey['row']>>) => {
    set({ ...survey, row: { ...row, ...part } });
  };
  const words: Record<(typeof CLASSES)[number], string> = {
    fruited: say('count-form.fruited-canes'),
    new: say('count-form.new-canes'),
    current: say('count-form.current-canes'),
  };
  if (row.samples && row.samples.length > 0) {
    return <p className="text-muted">{say('count-form.samples-are-kept', { count: row.samples.length })}</p>;
  }
  return (
    <section aria-labelledby="stretch">
      <h2 id="stretch" className="text-[18px] font-bold">
        {say('count-form.the-stretch')}
      </h2>
      <div className="mt-2 flex flex-wrap gap-3">
        {(
          [
            ['length_m', say('count-form.length-m')],
            ['width_cm', say('count-form.width-cm')],
            ['topWire_cm', say('count-form.top-wire-cm')],
            ['plants', say('count-form.plants')],
          ] as const
        ).map(([key, name]) => (
          <NumberField
            key={key}
            name={name}
            value={row[key]}
            set={(value) => {
              change({ [key]: value });
            }}
          />
        ))}
      </div>
      {CLASSES.map((name) => {
        const canes = classOf(row, name);
        const put = (part: Partial<RowCanes>) => {
          const next = withClass(row, name, part);
          set(next ? { ...survey, row: next } : survey);
        };
        return (
          <fieldset key={name} className="mt-4 border-t border-line pt-2">
            <legend className="pr-3 text-[15px] font-semibold">{words[name]}</legend>
            <div className="flex flex-wrap gap-3">
              <NumberField
                name={say('count-form.how-many')}
                value={canes.count === 0 ? undefined : canes.count}
                set={(count) => {
                  put({ count: count ?? 0 });
                }}
              />
              {(
                [
                  ['height_cm', say('count-form.height-cm')],
                  ['diameter_mm', say('count-form.thickness-mm')],
                  ['weak', say('count-form.weak')],
                  ['outside', say('count-form.outside-the-row')],
                  ['diseased', say('count-form.sick')],
                ] as const
              ).map(([key, label]) => (
                <NumberField
                  key={key}
                  name={label}
                  value={canes[key]}
                  set={(value) => {
                    put({ [key]: value });
                  }}
                />
              ))}
              {name === 'new' &&
                (
                  [
                    ['count', say('count-form.side-branches-a-cane')],
                    ['length_cm', say('count-form.their-length-cm')],
                    ['low', say('count-form.low-ones')],
                  ] as const
                ).map(([key, label]) => (
                  <NumberField
                    key={key}
                    name={label}
                    value={canes.laterals?.[key]}
                    set={(value) => {
                      put({ laterals: { ...canes.laterals, [key]: value } });
                    }}
                  />
                ))}
            </div>
          </fieldset>
        );
      })}
    </section>
  );
}
