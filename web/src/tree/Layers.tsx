import { say, useSay } from '../text/say';
import { useQuery } from '@tanstack/react-query';
import { answer, api, type LightLayer, type TreePage } from '../api/client';
import { fixed } from '../ui/numbers';
import { listed, percent } from '../ui/words';
import type { Layer } from '../stand/paint';

/** What the drawing can show, in the order a grower asks. */
export type Shown = Layer | 'section';

const LAYERS: { id: Shown; words: string; tells: string }[] = [
  {
    id: 'wood',
    get words() {
      return say('layers.wood');
    },
    get tells() {
      return say('layers.wood-by-age');
    },
  },
  {
    id: 'light',
    get words() {
      return say('layers.light');
    },
    get tells() {
      return say('layers.light-at-every-fruiting-place');
    },
  },
  {
    id: 'section',
    get words() {
      return say('layers.slice');
    },
    get tells() {
      return say('layers.the-light-on-a-slice');
    },
  },
  {
    id: 'crop',
    get words() {
      return say('layers.buds');
    },
    get tells() {
      return say('layers.flower-buds-where-they-are');
    },
  },
  {
    id: 'seen',
    get words() {
      return say('layers.seen');
    },
    get tells() {
      return say('layers.what-was-measured-counted-or');
    },
  },
];

/** The tree through the year, in the order of the seasons; winter is the wood alone. */
const MOMENTS: typeof LAYERS = [
  {
    id: 'bloom',
    get words() {
      return say('layers.bloom');
    },
    get tells() {
      return say('layers.the-tree-in-bloom');
    },
  },
  {
    id: 'summer',
    get words() {
      return say('layers.summer');
    },
    get tells() {
      return say('layers.the-tree-in-leaf');
    },
  },
  {
    id: 'harvest',
    get words() {
      return say('layers.harvest');
    },
    get tells() {
      return say('layers.the-tree-under-the-crop');
    },
  },
];

/** What can be shown, by its word in the address. */
export const SHOWN: readonly Shown[] = [...LAYERS, ...MOMENTS].map((layer) => layer.id);

interface Props {
  shown: Shown;
  onShown: (shown: Shown) => void;
  target: boolean;
  onTarget: (on: boolean) => void;
  numbered: boolean;
  onNumbered: (on: boolean) => void;
  along: boolean;
  onAlong: (along: boolean) => void;
  page: TreePage;
  waiting: boolean;
  light: LightLayer | undefined;
}

/** Chooses what the drawing shows, and says how to read it. */
export function Layers(props: Props) {
  const say = useSay();
  const { shown, onShown, target, onTarget, numbered, onNumbered, along, onAlong, page, waiting, light } =
    props;
  return (
    <>
      <div className="flex max-w-full flex-wrap justify-end gap-2">
        <Choices
          name={say('layers.what-the-drawing-shows')}
          layers={LAYERS}
          shown={shown}
          onShown={onShown}
        />
        <div className="flex bg-paper/90 p-1" role="group" aria-label={say('layers.what-is-drawn-with-it')}>
          <button
            type="button"
            aria-pressed={target}
            title={say('layers.the-outline-its-system-wants')}
            onClick={() => {
              onTarget(!target);
            }}
            className={look(target)}
          >
            {say('layers.target')}
          </button>
          <button
            type="button"
            aria-pressed={numbered}
            onClick={() => {
              onNumbered(!numbered);
            }}
            className={look(numbered)}
          >
            {say('layers.numbers')}
          </button>
        </div>
      </div>
      <Choices
        name={say('layers.through-the-year')}
        layers={MOMENTS}
        shown={shown}
        onShown={(next) => {
          onShown(next === shown ? 'wood' : next);
        }}
      />
      <div className="max-w-[330px] bg-paper/90 px-3 py-1.5 text-[12.5px]" aria-live="polite">
        {waiting ? (
          say('layers.working-it-out')
        ) : (
          <Key shown={shown} along={along} onAlong={onAlong} page={page} light={light} />
        )}
        {target && (
          <p className="mt-0.5 border-t border-line pt-1 first:mt-0 first:border-0 first:pt-0">
            <b>{say('layers.leaf-leaf', { leaf: page.name.leaf })}</b>{' '}
            {say('layers.heightm-m-tall-spreadm-m', {
              heightM: page.target.heightM.toFixed(1),
              spreadM: page.target.spreadM.toFixed(1),
              doNow: page.target.doNow,
            })}
          </p>
        )}
      </div>
    </>
  );
}

function look(on: boolean): string {
  return `min-h-8 px-2.5 text-[14px] ${on ? 'bg-ink font-semibold text-paper' : 'hover:bg-sand'}`;
}

function Choices({
  name,
  layers,
  shown,
  onShown,
}: {
  name: string;
  layers: typeof LAYERS;
  shown: Shown;
  onShown: (shown: Shown) => void;
}) {
  return (
    <div className="flex flex-wrap bg-paper/90 p-1" role="group" aria-label={name}>
      {layers.map((layer) => (
        <button
          key={layer.id}
          type="button"
          aria-pressed={shown === layer.id}
          title={layer.tells}
          onClick={() => {
            onShown(layer.id);
          }}
          className={look(shown === layer.id)}
        >
          {layer.words}
        </button>
      ))}
    </div>
  );
}

function Key({
  shown,
  along,
  onAlong,
  page,
  light,
}: {
  light: LightLayer | undefined;
  shown: Shown;
  along: boolean;
  onAlong: (along: boolean) => void;
  page: TreePage;
}) {
  const say = useSay();
  if (shown === 'wood') {
    return (
      <Swatches
        label={say('layers.wood-by-age')}
        rows={[
          ['#a03a2c', say('layers.last-year')],
          ['#7e4a38', '2'],
          ['#6c503e', '3'],
          ['#54493f', say('layers.older')],
        ]}
      />
    );
  }
  if (shown === 'light' || shown === 'section') {
    const fruit = percent(page.reading.light.fruitLight);
    const buds = percent(page.reading.light.budLight);
    return (
      <>
        <ul aria-label={say('layers.light-over-the-season')}>
          {(
            [
              ['■', say('layers.light-under', { fruit }), '#3e466c'],
              ['▲', fruit === buds ? '' : say('layers.light-between', { fruit, buds }), '#8a6410'],
              ['●', say('layers.light-over', { buds }), '#4c7430'],
            ] as const
          )
            .filter(([, words]) => words !== '')
            .map(([shape, words, colour]) => (
              <li key={words}>
                <span style={{ color: colour }} className="dark:brightness-150">
                  {shape}
                </span>{' '}
                {words}
              </li>
            ))}
        </ul>
        {light && light.shades.length > 0 && (
          <p>
            {say('layers.a-window-would-open-most', {
              shades: listed(
                light.shades.slice(0, 2).map((shade) =>
                  say('layers.limb-limb-fromtree', {
                    limb: shade.limb,
                    fromTree: percent(shade.fromTree),
                  }),
                ),
              ),
            })}
          </p>
        )}
        {shown === 'section' && (
          <button
            type="button"
            className="mt-1 font-semibold underline underline-offset-4"
            onClick={() => {
              onAlong(!along);
            }}
          >
            {say('layers.sliced-part-the-row-slice', {
              part: along ? 'along' : 'across',
              part2: along ? 'across' : 'along',
            })}
          </button>
        )}
      </>
    );
  }
  if (shown === 'crop') {
    const { crop } = page.reading;
    return (
      <p>
        {say('layers.flowerbuds-flower-buds-would-set', {
          flowerBuds: crop.flowerBuds,
          expectedFruits: crop.expectedFruits,
          targetFruits: crop.targetFruits,
          part:
            crop.thinningLeft > 0
              ? say('layers.thinningleft-to-thin-if-nothing', { thinningLeft: crop.thinningLeft })
              : say('layers.nothing-to-thin'),
        })}
      </p>
    );
  }
  if (shown === 'bloom') {
    const { crop } = page.reading;
    return <p>{say('layers.in-bloom', { buds: crop.flowerBuds, fruits: crop.targetFruits })}</p>;
  }
  if (shown === 'summer') {
    const { light } = page.reading;
    const leaf = page.drawing.axes.reduce((sum, axis) => sum + axis.leaf, 0);
    return (
      <p>
        {say('layers.in-leaf', { leaf: fixed(leaf, 1), over: fixed(light.leafOverGround, 1) })}{' '}
        {say('layers.sprouts-shown')}
      </p>
    );
  }
  if (shown === 'harvest') {
    return <HarvestKey page={page} />;
  }
  return (
    <Swatches
      label={say('layers.how-much-of-it-was')}
      rows={[
        ['#423832', say('layers.measured')],
        ['#965c3e', say('layers.counted-arranged-by-chance')],
        ['#7a848a', say('layers.expected-for-its-kind-and')],
      ]}
    />
  );
}

function HarvestKey({ page }: { page: TreePage }) {
  const say = useSay();
  // by the finding, so that the school's own line holds here too
  const low = page.reading.findings.filter((finding) => finding.rule === 'will-drop');
  const weak = page.reading.harvest.filter((limb) => limb.breakRisk >= 0.1);
  const names = (limbs: { limb: string }[]) =>
    limbs
      .slice(0, 4)
      .map((limb) => limb.limb)
      .join(', ');
  return (
    <div>
      <p>
        {say('layers.thinned-to-min-fruits-limbs', {
          min: Math.min(page.reading.crop.targetFruits, page.reading.crop.expectedFruits),
        })}
      </p>
      {low.length > 0 && (
        <p>
          {say('layers.tips-under-threshold-cm-limb', {
            threshold: low[0]?.threshold,
            low: low
              .slice(0, 4)
              .map((finding) => finding.limbs[0])
              .join(', '),
          })}
        </p>
      )}
      {weak.length > 0 && <p>{say('layers.one-in-ten-or-more', { names: names(weak) })}</p>}
      {low.length === 0 && weak.length === 0 && <p>{say('layers.no-tip-touches-down-no')}</p>}
    </div>
  );
}

function Swatches({ label, rows }: { label: string; rows: [string, string][] }) {
  return (
    <ul className="flex flex-wrap gap-x-3" aria-label={label}>
      {rows.map(([colour, words]) => (
        <li key={words} className="flex items-center gap-1.5">
          <span className="h-[4px] w-4" style={{ background: colour }} />
          {words}
        </li>
      ))}
    </ul>
  );
}

/** What the light and harvest layers need; fetched once they are looked at. */
export function useLayers(id: number, shown: Shown, always: boolean) {
  const light = useQuery({
    queryKey: ['light', id],
    queryFn: () => answer(api.GET('/api/trees/{id}/light', { params: { path: { id } } })),
    enabled: shown === 'section' || shown === 'light' || always,
    staleTime: Infinity,
  });
  const harvest = useQuery({
    queryKey: ['harvest', id],
    queryFn: () => answer(api.GET('/api/trees/{id}/harvest', { params: { path: { id } } })),
    enabled: shown === 'harvest',
    staleTime: Infinity,
  });
  const failed = (shown === 'section' && light.isError) || (shown === 'harvest' && harvest.isError);
  const waiting = (shown === 'section' && light.isPending) || (shown === 'harvest' && harvest.isPending);
  return { light: light.data, harvest: harvest.data, waiting: waiting && !failed, failed };
}
