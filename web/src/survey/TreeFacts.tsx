import { term } from '../text/term';
import { say, useSay } from '../text/say';
import type { Knowledge } from '../api/client';
import { Choice, Field } from './Cell';
import type { SurveyForm } from './form';

interface Props {
  form: SurveyForm;
  faults: ReadonlyMap<string, string>;
  known: Knowledge | undefined;
  change: (next: Partial<SurveyForm>) => void;
}

const HABITS = ['', 'standard', 'spur', 'tip', 'upright', 'spreading', 'weeping'];
const LEVELS = ['', 'low', 'moderate', 'high'];
const SETS = ['', 'light', 'moderate', 'heavy'];
const STOCKS = ['', 'very-dwarfing', 'dwarfing', 'semi-dwarfing', 'semi-vigorous', 'seedling'];

interface More {
  field: Exclude<keyof SurveyForm, 'base' | 'limbs'>;
  path: string;
  name: string;
  unit?: string;
  choices?: string[];
}

/** What is seldom asked and never lost. */
const more: More[] = [
  {
    field: 'set',
    path: 'tree.cultivar.set',
    get name() {
      return say('tree-facts.fruit-set');
    },
    choices: SETS,
  },
  {
    field: 'vigour',
    path: 'tree.cultivar.vigour',
    get name() {
      return say('tree-facts.vigour');
    },
    choices: LEVELS,
  },
  {
    field: 'stockName',
    path: 'tree.rootstock.name',
    get name() {
      return say('tree-facts.rootstock-name');
    },
  },
  {
    field: 'leaderGrowth',
    path: 'trunk.lastGrowth_cm',
    get name() {
      return say('tree-facts.leader-grew');
    },
    unit: 'cm',
  },
  {
    field: 'trunkDiameterAt',
    path: 'trunk.diameterAt_cm',
    get name() {
      return say('tree-facts.trunk-measured-at');
    },
    unit: 'cm',
  },
  {
    field: 'rowBearing',
    path: 'tree.rowBearing_deg',
    get name() {
      return say('tree-facts.row-bearing');
    },
    unit: '°',
  },
  {
    field: 'slope',
    path: 'site.slope_deg',
    get name() {
      return say('tree-facts.slope');
    },
    unit: '°',
  },
  {
    field: 'uphill',
    path: 'site.uphill_deg',
    get name() {
      return say('tree-facts.uphill-towards');
    },
    unit: '°',
  },
  {
    field: 'netShare',
    path: 'site.netShare',
    get name() {
      return say('tree-facts.light-kept-out-by-nets');
    },
    get unit() {
      return say('tree-facts.share');
    },
  },
  {
    field: 'latitude',
    path: 'site.latitude_deg',
    get name() {
      return say('tree-facts.latitude');
    },
    unit: '°',
  },
  {
    field: 'elevation',
    path: 'site.elevation_m',
    get name() {
      return say('tree-facts.height-above-the-sea');
    },
    unit: 'm',
  },
];

/** The choices, with the one there is where it is none of the usual words. */
function withOwn(choices: string[], own: string): string[] {
  return choices.includes(own) ? choices : [...choices, own];
}

/** What the tree is, and its trunk. */
export function TreeFacts({ form, faults, known, change }: Props) {
  const say = useSay();
  // the usual systems of this kind first, every other after
  const usual = (system: Knowledge['systems'][number]) => (system.species.includes(form.species) ? 0 : 1);
  const systems = [...(known?.systems ?? [])].sort((a, b) => usual(a) - usual(b));
  const same = (ids: string[]) =>
    ids.map((id) => ({ id, name: id === '' ? say('tree-facts.not-known') : term(id) }));
  const fault = (field: string) => faults.get(field) ?? faults.get(`survey.${field}`);
  const cultivars = (known?.cultivars ?? []).filter((one) => one.species === form.species);
  return (
    <div className="grid grid-cols-4 gap-x-4 gap-y-2.5 max-sm:grid-cols-2">
      <Choice
        name={say('name.kind')}
        value={form.species}
        options={known?.species ?? []}
        fault={fault('tree.species')}
        change={(species) => {
          change({
            species,
            system: (known?.systems ?? []).find((one) => one.species.includes(species))?.id ?? '',
          });
        }}
      />
      <Choice
        name={say('name.trained-as')}
        value={form.system}
        options={[{ id: '', name: say('tree-facts.not-known') }, ...systems]}
        fault={fault('tree.system')}
        change={(system) => {
          change({ system });
        }}
      />
      <Field
        name={say('name.cultivar')}
        list="known-cultivars"
        value={form.cultivar}
        fault={fault('tree.cultivar.name')}
        change={(cultivar) => {
          change({ cultivar });
        }}
      />
      <datalist id="known-cultivars">
        {cultivars.map((one) => (
          <option key={one.name} value={one.name} />
        ))}
      </datalist>
      <Choice
        name={say('name.habit')}
        value={form.habit}
        options={same(withOwn(HABITS, form.habit))}
        fault={fault('tree.cultivar.habit')}
        change={(habit) => {
          change({ habit });
        }}
      />
      <Field
        name={say('name.leaf')}
        unit={say('tree-facts.years')}
        inputMode="numeric"
        value={form.leaf}
        fault={fault('tree.leaf')}
        change={(leaf) => {
          change({ leaf });
        }}
      />
      <Choice
        name={say('name.stock')}
        value={form.stock}
        options={same(STOCKS)}
        fault={fault('tree.rootstock.class')}
        change={(stock) => {
          change({ stock });
        }}
      />
      <Field
        name={say('name.in-the-row')}
        unit="m"
        inputMode="decimal"
        value={form.inRow}
        fault={fault('tree.spacing_m.inRow')}
        change={(inRow) => {
          change({ inRow });
        }}
      />
      <Field
        name={say('name.between-rows')}
        unit="m"
        inputMode="decimal"
        value={form.betweenRows}
        fault={fault('tree.spacing_m.betweenRows')}
        change={(betweenRows) => {
          change({ betweenRows });
        }}
      />
      <Field
        name={say('name.trunk')}
        unit="mm"
        inputMode="decimal"
        value={form.trunkDiameter}
        fault={fault('trunk.diameter_mm')}
        change={(trunkDiameter) => {
          change({ trunkDiameter });
        }}
      />
      <Field
        name={say('tree-facts.top')}
        unit="cm"
        inputMode="decimal"
        value={form.trunkHeight}
        fault={fault('trunk.height_cm')}
        change={(trunkHeight) => {
          change({ trunkHeight });
        }}
      />
      <Field
        name={say('name.graft-union-at')}
        unit="cm"
        inputMode="decimal"
        value={form.union}
        fault={fault('trunk.unionAt_cm')}
        change={(union) => {
          change({ union });
        }}
      />
      <Field
        name={say('name.surveyed-on')}
        type="date"
        value={form.surveyedOn}
        fault={fault('surveyedOn')}
        change={(surveyedOn) => {
          change({ surveyedOn });
        }}
      />
      <details className="col-span-full" open={more.some((one) => fault(one.path) !== undefined)}>
        <summary className="min-h-9 content-center text-[14px] font-semibold">
          {say('tree-facts.more-about-the-tree-and')}
        </summary>
        <div className="grid grid-cols-4 gap-x-4 gap-y-2.5 pt-1 max-sm:grid-cols-2">
          {more.map((one) =>
            one.choices ? (
              <Choice
                key={one.field}
                name={one.name}
                value={form[one.field]}
                options={same(withOwn(one.choices, form[one.field]))}
                fault={fault(one.path)}
                change={(value) => {
                  change({ [one.field]: value });
                }}
              />
            ) : (
              <Field
                key={one.field}
                name={one.name}
                {...(one.unit ? { unit: one.unit, inputMode: 'decimal' as const } : {})}
                value={form[one.field]}
                fault={fault(one.path)}
                change={(value) => {
                  change({ [one.field]: value });
                }}
              />
            ),
          )}
        </div>
      </details>
    </div>
  );
}
