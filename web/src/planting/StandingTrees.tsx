import { useMutation, useQuery } from '@tanstack/react-query';
import { answer, api, type BlockLine, type PlantingRequest } from '../api/client';
import { ChoiceField, NumberField } from '../plant/CountFields';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { Failed } from '../ui/States';
import type { Planting } from './request';
import { allWays, kgPerHaOf, standingFrom, usualStanding, withoutStanding, type Standing } from './standing';
import { TreeFields } from './TreeFields';

const KG_IN_TONNE = 1000;

/** The block that stands on the land today, as typed or taken from the holding, and all that can be done with it. */
export function StandingTrees({
  request,
  set,
  replace,
}: {
  request: PlantingRequest;
  set: (next: PlantingRequest) => void;
  /** Puts another comparison in the place of this one, with the way back. */
  replace: (next: PlantingRequest, words: string) => void;
}) {
  const say = useSay();
  const blocks = useQuery({ queryKey: ['blocks'], queryFn: () => answer(api.GET('/api/blocks')) });
  const known = useQuery({ queryKey: ['knowledge'], queryFn: () => answer(api.GET('/api/knowledge')) });
  const { standing } = request;
  const planted = (blocks.data ?? []).filter((block) => block.counted === '' && !block.archived);
  const change = (part: Partial<Standing>) => {
    set({ ...request, standing: { ...(standing ?? usualStanding()), ...part } });
  };
  const take = useMutation({
    mutationFn: async (block: BlockLine) => {
      const picked = await answer(
        api.GET('/api/blocks/{id}/pickings', { params: { path: { id: block.id } } }),
      );
      return {
        ...standingFrom(block, new Date().getFullYear(), standing?.trees.price_perKg),
        kg_perHa: kgPerHaOf(block, picked),
      };
    },
    onSuccess: change,
  });
  const grafted = known.data?.species.find((kind) => kind.id === standing?.trees.species)?.topworked ?? false;
  return (
    <details className="mt-3 border-t border-line pt-1" open={standing != null}>
      <summary className="min-h-9 content-center font-semibold">{say('standing.title')}</summary>
      {!standing ? (
        <>
          <p className="text-[14px] text-muted">{say('standing.what-it-does')}</p>
          <Button
            className="mt-2"
            onClick={() => {
              change({});
            }}
          >
            {say('standing.describe')}
          </Button>
        </>
      ) : (
        <>
          <div className="flex flex-wrap gap-2">
            {planted.length > 0 && (
              <ChoiceField
                name={say('standing.from-block')}
                value=""
                options={[
                  ['', say('standing.choose')],
                  ...planted.map((block) => [String(block.id), block.name] as const),
                ]}
                set={(id) => {
                  const block = planted.find((one) => String(one.id) === id);
                  if (block) take.mutate(block);
                }}
              />
            )}
            <NumberField
              name={say('standing.leaf')}
              width="w-16"
              value={standing.leaf}
              set={(leaf) => {
                change({ leaf });
              }}
            />
            <NumberField
              name={say('standing.picked')}
              unit="tha"
              width="w-20"
              value={standing.kg_perHa == null ? undefined : standing.kg_perHa / KG_IN_TONNE}
              set={(tonnes) => {
                change({ kg_perHa: tonnes === undefined ? undefined : tonnes * KG_IN_TONNE });
              }}
            />
            <TreeFields
              option={standing.trees}
              set={(part: Partial<Planting>) => {
                change({ trees: { ...standing.trees, ...part } });
              }}
            />
          </div>
          {take.isError && <Failed error={take.error} />}
          <div className="mt-2 flex flex-wrap gap-2">
            <Button
              weight="ink"
              onClick={() => {
                replace(
                  allWays(
                    request,
                    {
                      keep: say('planting-act.keep'),
                      renovate: say('planting-act.renovate'),
                      topwork: say('planting-act.topwork'),
                      replant: say('planting-act.replant'),
                    },
                    grafted,
                  ),
                  say('standing.compared'),
                );
              }}
            >
              {say('standing.compare-all')}
            </Button>
            <Button
              weight="quiet"
              onClick={() => {
                replace(withoutStanding(request), say('standing.cleared'));
              }}
            >
              {say('standing.clear')}
            </Button>
          </div>
        </>
      )}
    </details>
  );
}
