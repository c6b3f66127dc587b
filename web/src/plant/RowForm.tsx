import type { CountSurvey } from '../api/client';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { NumberField, NumberFields } from './CountFields';
import {
  classOf,
  countsOf,
  withAnotherCount,
  withCounts,
  withClass,
  without,
  type RowCanes,
  type RowSample,
} from './countForm';

const CLASSES = ['fruited', 'new', 'current'] as const;

/** A row by its counts: one stretch, or several along it. */
export function RowForm({ survey, set }: { survey: CountSurvey; set: (next: CountSurvey) => void }) {
  const say = useSay();
  const row = survey.row ?? {};
  const counts = countsOf(row);
  const change = (next: CountSurvey['row']) => {
    set({ ...survey, row: next ?? {} });
  };
  return (
    <section aria-labelledby="stretch">
      <h2 id="stretch" className="text-[18px] font-bold">
        {say('count-form.the-row')}
      </h2>
      <div className="mt-2 flex flex-wrap gap-3">
        <NumberFields
          fields={[
            ['width_cm', say('count-form.width-cm')],
            ['topWire_cm', say('count-form.top-wire-cm')],
            ['plants', say('count-form.plants')],
            ['cropLast_kg', say('count-form.crop-last-kg')],
          ]}
          values={row}
          set={(key, value) => {
            change(without({ ...row, [key]: value }));
          }}
        />
      </div>
      {counts.map((count, i) => (
        <Stretch
          key={i}
          title={
            counts.length === 1
              ? say('count-form.the-stretch')
              : say('count-form.count-number', { number: i + 1 })
          }
          count={count}
          set={(next) => {
            change(
              withCounts(
                row,
                counts.map((one, at) => (at === i ? next : one)),
              ),
            );
          }}
          drop={
            counts.length === 1
              ? undefined
              : () => {
                  change(
                    withCounts(
                      row,
                      counts.filter((_, at) => at !== i),
                    ),
                  );
                }
          }
        />
      ))}
      <div className="mt-4">
        <Button
          onClick={() => {
            change(withAnotherCount(row));
          }}
        >
          {say('count-form.count-another-metre')}
        </Button>
      </div>
    </section>
  );
}

/** One stretch of the row: its length, and its canes by class. */
function Stretch({
  title,
  count,
  set,
  drop,
}: {
  title: string;
  count: RowSample;
  set: (next: RowSample) => void;
  drop: (() => void) | undefined;
}) {
  const say = useSay();
  const words: Record<(typeof CLASSES)[number], string> = {
    fruited: say('count-form.fruited-canes'),
    new: say('count-form.new-canes'),
    current: say('count-form.current-canes'),
  };
  return (
    <section aria-label={title} className="mt-5 border-t-2 border-ink pt-2">
      <div className="flex flex-wrap items-end gap-3">
        <h3 className="min-h-10 pt-2 text-[16px] font-bold">{title}</h3>
        <NumberField
          name={say('count-form.length-m')}
          unit="m"
          width="w-16"
          value={count.length_m}
          set={(length_m) => {
            set(without({ ...count, length_m }));
          }}
        />
        {drop && (
          <Button weight="quiet" onClick={drop}>
            {say('count-form.delete')}
          </Button>
        )}
      </div>
      {CLASSES.map((name) => {
        const canes = classOf(count, name);
        const put = (part: Partial<RowCanes>) => {
          set(withClass(count, name, part));
        };
        return (
          <fieldset key={name} className="mt-3 border-t border-line pt-2">
            <legend className="pr-3 text-[15px] font-semibold">{words[name]}</legend>
            <div className="flex flex-wrap gap-3">
              <NumberField
                name={say('count-form.how-many')}
                value={canes.count === 0 ? undefined : canes.count}
                set={(many) => {
                  put({ count: many ?? 0 });
                }}
              />
              <NumberFields
                fields={[
                  ['height_cm', say('count-form.height-cm')],
                  ['diameter_mm', say('count-form.thickness-mm')],
                  ['weak', say('count-form.weak')],
                  ['outside', say('count-form.outside-the-row')],
                  ['diseased', say('count-form.sick')],
                  ['rooting', say('count-form.rooting-tips')],
                ]}
                values={canes}
                set={(key, value) => {
                  put({ [key]: value });
                }}
              />
              {name === 'new' && (
                <NumberFields
                  fields={[
                    ['count', say('count-form.side-branches-a-cane')],
                    ['length_cm', say('count-form.their-length-cm')],
                    ['low', say('count-form.low-ones')],
                  ]}
                  values={canes.laterals ?? {}}
                  set={(key, value) => {
                    put({ laterals: { ...canes.laterals, [key]: value } });
                  }}
                />
              )}
            </div>
          </fieldset>
        );
      })}
    </section>
  );
}
