import { useQuery } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { Choice, Field } from '../survey/Cell';
import type { SurveyForm } from '../survey/form';
import { useSay } from '../text/say';

/** What the tree is, as far as the answer needs it. */
export function LookFacts({
  form,
  faults,
  change,
}: {
  form: SurveyForm;
  faults: ReadonlyMap<string, string>;
  change: (next: Partial<SurveyForm>) => void;
}) {
  const say = useSay();
  const known = useQuery({
    queryKey: ['knowledge'],
    queryFn: () => answer(api.GET('/api/knowledge')),
    staleTime: Infinity,
  });
  const systems = known.data?.systems ?? [];
  const fault = (field: string) => faults.get(field) ?? faults.get(`survey.${field}`);
  return (
    <div className="mt-3 grid grid-cols-3 gap-x-3 gap-y-2">
      <Choice
        name={say('name.kind')}
        value={form.species}
        options={known.data?.species ?? []}
        fault={fault('tree.species')}
        change={(species) => {
          change({ species, system: systems.find((one) => one.species.includes(species))?.id ?? '' });
        }}
      />
      <Choice
        className="col-span-2"
        name={say('name.trained-as')}
        value={form.system}
        options={systems.filter((one) => one.species.includes(form.species))}
        fault={fault('tree.system')}
        change={(system) => {
          change({ system });
        }}
      />
      {(
        [
          ['leaf', 'tree.leaf', say('name.leaf'), say('tree-facts.years')],
          ['trunkDiameter', 'trunk.diameter_mm', say('name.trunk'), 'mm'],
          ['trunkHeight', 'trunk.height_cm', say('tree-facts.top'), 'cm'],
          ['inRow', 'tree.spacing_m.inRow', say('name.in-the-row'), 'm'],
          ['betweenRows', 'tree.spacing_m.betweenRows', say('name.between-rows'), 'm'],
        ] as const
      ).map(([field, path, name, unit]) => (
        <Field
          key={field}
          name={name}
          unit={unit}
          inputMode="decimal"
          value={form[field]}
          fault={fault(path)}
          change={(value) => {
            change({ [field]: value });
          }}
        />
      ))}
    </div>
  );
}
