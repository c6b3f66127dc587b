import { useQuery } from '@tanstack/react-query';
import { answer, api, type LightLayer, type TreePage } from '../api/client';
import { percent } from '../ui/words';
import type { Layer } from '../stand/paint';

/** What the drawing can show, in the order a grower asks. */
export type Shown = Layer | 'section';

const LAYERS: { id: Shown; words: string; tells: string }[] = [
  { id: 'wood', words: 'Wood', tells: 'Wood by age' },
  { id: 'light', words: 'Light', tells: 'Light at every fruiting place over the season' },
  { id: 'section', words: 'Slice', tells: 'The light on a slice through the trunk' },
  { id: 'crop', words: 'Buds', tells: 'Flower buds where they are' },
  { id: 'harvest', words: 'Harvest', tells: 'The tree under the crop it is meant to carry' },
  { id: 'seen', words: 'Seen', tells: 'What was measured, counted, or only expected' },
];

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
  const { shown, onShown, target, onTarget, numbered, onNumbered, along, onAlong, page, waiting, light } =
    props;
  const look = (on: boolean) =>
    `min-h-8 px-2.5 text-[14px] ${on ? 'bg-ink font-semibold text-paper' : 'hover:bg-sand'}`;
  return (
    <>
      <div className="flex max-w-full flex-wrap justify-end gap-2">
        <div className="flex flex-wrap bg-paper/90 p-1" role="group" aria-label="What the drawing shows">
          {LAYERS.map((layer) => (
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
        <div className="flex bg-paper/90 p-1" role="group" aria-label="What is drawn with it">
          <button
            type="button"
            aria-pressed={target}
            title="The outline its system wants at this age (key T)"
            onClick={() => {
              onTarget(!target);
            }}
            className={look(target)}
          >
            Target
          </button>
          <button
            type="button"
            aria-pressed={numbered}
            onClick={() => {
              onNumbered(!numbered);
            }}
            className={look(numbered)}
          >
            Numbers
          </button>
        </div>
      </div>
      <div className="max-w-[330px] bg-paper/90 px-3 py-1.5 text-[12.5px]" aria-live="polite">
        {waiting ? (
          'Working it out…'
        ) : (
          <Key shown={shown} along={along} onAlong={onAlong} page={page} light={light} />
        )}
        {target && (
          <p className="mt-0.5 border-t border-line pt-1 first:mt-0 first:border-0 first:pt-0">
            <b>Leaf {page.name.leaf}:</b> {page.target.heightM.toFixed(1)} m tall,{' '}
            {page.target.spreadM.toFixed(1)} m wide. {page.target.doNow}
          </p>
        )}
      </div>
    </>
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
  if (shown === 'wood') {
    return (
      <Swatches
        label="Wood by age"
        rows={[
          ['#a03a2c', 'last year'],
          ['#7e4a38', '2'],
          ['#6c503e', '3'],
          ['#54493f', 'older'],
        ]}
      />
    );
  }
  if (shown === 'light' || shown === 'section') {
    return (
      <>
        <ul aria-label="Light over the season">
          {(
            [
              ['■', 'under 30 %: buds die', '#3e466c'],
              ['▲', '30 to 50 %: fruit, few new buds', '#8a6410'],
              ['●', 'over 50 %: fruit and buds', '#4c7430'],
            ] as const
          ).map(([shape, words, colour]) => (
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
            A window would open most at{' '}
            {light.shades
              .slice(0, 2)
              .map((shade) => `limb ${shade.limb} (+${percent(shade.fromTree)})`)
              .join(' and ')}
            .
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
            Sliced {along ? 'along' : 'across'} the row: slice {along ? 'across' : 'along'}
          </button>
        )}
      </>
    );
  }
  if (shown === 'crop') {
    const { crop } = page.reading;
    return (
      <p>
        {crop.flowerBuds} flower buds would set {crop.expectedFruits}; it is meant to carry{' '}
        {crop.targetFruits}.{' '}
        {crop.thinningLeft > 0 ? `${crop.thinningLeft} to thin, if nothing is cut.` : 'Nothing to thin.'}
      </p>
    );
  }
  if (shown === 'harvest') {
    return <HarvestKey page={page} />;
  }
  return (
    <Swatches
      label="How much of it was seen"
      rows={[
        ['#423832', 'measured'],
        ['#965c3e', 'counted, arranged by chance'],
        ['#7a848a', 'expected for its kind and thickness'],
      ]}
    />
  );
}

function HarvestKey({ page }: { page: TreePage }) {
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
        Thinned to {Math.min(page.reading.crop.targetFruits, page.reading.crop.expectedFruits)} fruits. Limbs
        bend as their wood lets them.
      </p>
      {low.length > 0 && (
        <p>
          Tips under {low[0]?.threshold} cm: limb{' '}
          {low
            .slice(0, 4)
            .map((finding) => finding.limbs[0])
            .join(', ')}
          .
        </p>
      )}
      {weak.length > 0 && <p>One in ten or more to break: limb {names(weak)}.</p>}
      {low.length === 0 && weak.length === 0 && <p>No tip touches down, no union is at its limit.</p>}
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
