import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import { answer, api, Problem } from '../api/client';
import { Button } from '../ui/Button';

const STOCKS: [string, string][] = [
  ['very-dwarfing', 'very dwarfing'],
  ['dwarfing', 'dwarfing'],
  ['semi-dwarfing', 'semi-dwarfing'],
  ['semi-vigorous', 'semi-vigorous'],
  ['seedling', 'seedling'],
];

const BOX = 'min-h-10 w-full rounded-md border border-muted/50 bg-paper px-2';

/** Setting up: a holding first, then its blocks. */
export function Setup({ empty }: { empty: boolean }) {
  const holdings = useQuery({ queryKey: ['holdings'], queryFn: () => answer(api.GET('/api/holdings')) });
  const none = holdings.data?.length === 0;
  return (
    <details className="mt-8 border-t border-line pt-3" open={empty}>
      <summary className="min-h-9 content-center font-semibold">Add a block or a holding</summary>
      {none && <p className="mt-2 max-w-prose text-muted">Begin with where the trees stand.</p>}
      <div className="grid grid-cols-[1fr_300px] gap-10 max-md:grid-cols-1">
        {holdings.data && holdings.data.length > 0 && <BlockForm holdings={holdings.data} />}
        <HoldingForm />
      </div>
    </details>
  );
}

function HoldingForm() {
  const [name, setName] = useState('');
  const [latitude, setLatitude] = useState('');
  const [elevation, setElevation] = useState('');
  const queries = useQueryClient();
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/holdings', {
          body: { name, latitudeDeg: Number(latitude), elevationM: Number(elevation) },
        }),
      ),
    onSuccess: () => {
      setName('');
      void queries.invalidateQueries({ queryKey: ['holdings'] });
      void queries.invalidateQueries({ queryKey: ['holding'] });
    },
  });
  return (
    <Form
      title="A holding"
      action="Add the holding"
      busy={save.isPending}
      ready={name.trim() !== '' && latitude.trim() !== '' && elevation.trim() !== ''}
      error={save.error}
      submit={() => {
        save.mutate();
      }}
    >
      <Labelled name="Name of the holding" wide>
        <input
          className={BOX}
          value={name}
          onChange={(event) => {
            setName(event.target.value);
          }}
        />
      </Labelled>
      <Labelled name="Latitude, ° (south is negative)">
        <input
          className={BOX}
          inputMode="decimal"
          value={latitude}
          onChange={(event) => {
            setLatitude(event.target.value);
          }}
        />
      </Labelled>
      <Labelled name="Height above the sea, m">
        <input
          className={BOX}
          inputMode="decimal"
          value={elevation}
          onChange={(event) => {
            setElevation(event.target.value);
          }}
        />
      </Labelled>
    </Form>
  );
}

const FIRST = {
  name: '',
  species: 'apple',
  system: '',
  cultivar: '',
  stock: 'semi-dwarfing',
  planted: String(new Date().getFullYear()),
  trees: '',
  inRow: '',
  betweenRows: '',
  bearing: '0',
  east: '0',
  north: '0',
};

function BlockForm({ holdings }: { holdings: { id: number; name: string }[] }) {
  const known = useQuery({ queryKey: ['knowledge'], queryFn: () => answer(api.GET('/api/knowledge')) });
  const [holding, setHolding] = useState(holdings[0]?.id ?? 0);
  const [form, setForm] = useState(FIRST);
  const queries = useQueryClient();
  const systems = known.data?.systems ?? [];
  const usual = systems.filter((one) => one.species.includes(form.species));
  const system = form.system || (usual[0]?.id ?? '');
  const save = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/blocks', {
          body: {
            holdingId: holding,
            name: form.name,
            species: form.species,
            system,
            cultivar: form.cultivar,
            stock: form.stock,
            plantedYear: Number(form.planted),
            treeCount: Number(form.trees),
            inRowM: Number(form.inRow),
            betweenRowsM: Number(form.betweenRows),
            rowBearingDeg: Number(form.bearing),
            eastM: Number(form.east),
            northM: Number(form.north),
            note: '',
          },
        }),
      ),
    onSuccess: () => {
      setForm(FIRST);
      for (const key of ['holding', 'blocks', 'season', 'geo']) {
        void queries.invalidateQueries({ queryKey: [key] });
      }
    },
  });
  const text = (key: keyof typeof FIRST, name: string, decimal = true) => (
    <Labelled name={name}>
      <input
        className={BOX}
        inputMode={decimal ? 'decimal' : 'text'}
        value={form[key]}
        onChange={(event) => {
          setForm({ ...form, [key]: event.target.value });
        }}
      />
    </Labelled>
  );
  const choice = (name: string, value: string, options: [string, string][], set: (value: string) => void) => (
    <Labelled name={name}>
      <select
        className={BOX}
        value={value}
        onChange={(event) => {
          set(event.target.value);
        }}
      >
        {options.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </select>
    </Labelled>
  );
  return (
    <Form
      title="A block"
      action="Add the block"
      busy={save.isPending}
      ready={[form.name, form.trees, form.inRow, form.betweenRows].every((one) => one.trim() !== '')}
      error={save.error}
      submit={() => {
        save.mutate();
      }}
    >
      {text('name', 'Name of the block', false)}
      {holdings.length > 1 &&
        choice(
          'Holding',
          String(holding),
          holdings.map((one) => [String(one.id), one.name]),
          (value) => {
            setHolding(Number(value));
          },
        )}
      {choice(
        'Kind of tree',
        form.species,
        (known.data?.species ?? []).map((one) => [one.id, one.name]),
        (species) => {
          setForm({ ...form, species, system: '' });
        },
      )}
      {choice(
        'Trained as',
        system,
        (usual.length > 0 ? usual : systems).map((one) => [one.id, one.name]),
        (value) => {
          setForm({ ...form, system: value });
        },
      )}
      {text('cultivar', 'Cultivars', false)}
      {choice('Rootstock', form.stock, STOCKS, (stock) => {
        setForm({ ...form, stock });
      })}
      {text('planted', 'Planted in')}
      {text('trees', 'Trees')}
      {text('inRow', 'In the row, m')}
      {text('betweenRows', 'Between rows, m')}
      {text('bearing', 'Rows run towards, °')}
      {text('east', 'First tree east of zero, m')}
      {text('north', 'and north, m')}
    </Form>
  );
}

function Form({
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
            ? problem.errors.map((one) => `${one.field}: ${one.message}`)
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

function Labelled({ name, wide = false, children }: { name: string; wide?: boolean; children: ReactNode }) {
  return (
    <label className={`text-[13px] ${wide ? 'col-span-full' : ''}`}>
      <span className="block text-muted">{name}</span>
      {children}
    </label>
  );
}
