import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Popover } from 'radix-ui';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { answer, api } from '../api/client';
import { dropDraft } from '../survey/draft';
import { surveyFrom, type SurveyForm } from '../survey/form';
import { Choice, Field } from '../survey/Cell';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { readNumber, sentNumber } from '../ui/numbers';

const NEW = '';

/** Keeps the tree: at a free place of a block of its kind, or as the first tree of a new block, in a new holding where there is none. */
export function KeepTree({
  form,
  ready,
  onRefused,
}: {
  form: SurveyForm;
  ready: boolean;
  /** Tells at the limbs what is wrong with them; the rest is told here. */
  onRefused: (message: string, error: unknown) => void;
}) {
  const say = useSay();
  const go = useNavigate();
  const queries = useQueryClient();
  const holdings = useQuery({ queryKey: ['holdings'], queryFn: () => answer(api.GET('/api/holdings')) });
  const blocks = useQuery({ queryKey: ['blocks'], queryFn: () => answer(api.GET('/api/blocks')) });
  const [block, setBlock] = useState(NEW);
  const [row, setRow] = useState('1');
  const [place, setPlace] = useState('1');
  const [name, setName] = useState('');
  const [holding, setHolding] = useState('');
  const [latitude, setLatitude] = useState('');
  const [elevation, setElevation] = useState('');
  const own = (blocks.data ?? []).filter((one) => one.species === form.species && !one.archived);
  const [chosen, setChosen] = useState('');
  const into = chosen || String(holdings.data?.[0]?.id ?? '');
  const none = holdings.data?.length === 0;
  const keep = useMutation({
    mutationFn: () =>
      answer(
        api.POST('/api/survey/kept', {
          body: {
            survey: surveyFrom(form),
            where:
              block !== NEW
                ? { place: { blockId: Number(block), row: Number(row), place: Number(place) } }
                : {
                    block: none
                      ? {
                          name,
                          holding: {
                            name: holding,
                            latitudeDeg: sentNumber(latitude),
                            elevationM: sentNumber(elevation),
                            timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
                          },
                        }
                      : { name, holdingId: Number(into) },
                  },
          },
        }),
      ),
    onSuccess: (tree) => {
      dropDraft(0);
      queries.clear();
      void go(`/trees/${tree.treeId}`);
    },
    onError: (error) => {
      onRefused('', error);
    },
  });
  const number = (text: string) => !Number.isNaN(readNumber(text) ?? Number.NaN);
  const filled =
    block !== NEW
      ? number(row) && number(place)
      : name.trim() !== '' && (!none || (holding.trim() !== '' && number(latitude) && number(elevation)));
  return (
    <div className="flex items-center justify-between gap-3 border-t border-line px-5 py-2.5">
      <span className="text-[13.5px] text-muted">{say('look.not-kept')}</span>
      <Popover.Root>
        <Popover.Trigger asChild>
          <Button weight="ink" disabled={!ready}>
            {say('look.keep')}
          </Button>
        </Popover.Trigger>
        <Popover.Content align="end" sideOffset={8} className="z-10 w-80 border border-ink bg-paper p-4">
          <form
            className="flex flex-col gap-2.5"
            onSubmit={(event) => {
              event.preventDefault();
              keep.mutate();
            }}
          >
            <p className="font-semibold">{say('new-tree.where-does-it-stand')}</p>
            <Choice
              name={say('new-tree.block')}
              value={block}
              options={[
                { id: NEW, name: say('look.a-new-block') },
                ...own.map((one) => ({ id: String(one.id), name: one.name })),
              ]}
              fault={undefined}
              change={setBlock}
            />
            {block !== NEW ? (
              <div className="grid grid-cols-2 gap-3">
                <Field
                  name={say('new-tree.row')}
                  inputMode="numeric"
                  value={row}
                  fault={undefined}
                  change={setRow}
                />
                <Field
                  name={say('new-tree.place')}
                  inputMode="numeric"
                  value={place}
                  fault={undefined}
                  change={setPlace}
                />
              </div>
            ) : (
              <Field name={say('look.name-of-block')} value={name} fault={undefined} change={setName} />
            )}
            {block === NEW && (holdings.data?.length ?? 0) > 1 && (
              <Choice
                name={say('plantings.holding')}
                value={into}
                options={(holdings.data ?? []).map((one) => ({ id: String(one.id), name: one.name }))}
                fault={undefined}
                change={setChosen}
              />
            )}
            {block === NEW && none && (
              <>
                <Field
                  name={say('name.name-of-the-holding')}
                  value={holding}
                  fault={undefined}
                  change={setHolding}
                />
                <Field
                  name={say('name.latitude-south-is-negative')}
                  inputMode="decimal"
                  value={latitude}
                  fault={undefined}
                  change={setLatitude}
                />
                <Field
                  name={say('tree-facts.height-above-the-sea')}
                  unit="m"
                  inputMode="decimal"
                  value={elevation}
                  fault={undefined}
                  change={setElevation}
                />
              </>
            )}
            {keep.isError && (
              <p role="alert" className="text-[14px] text-lichen">
                {keep.error.message}
              </p>
            )}
            <Button weight="ink" type="submit" disabled={keep.isPending || !filled}>
              {say('look.keep-it')}
            </Button>
          </form>
        </Popover.Content>
      </Popover.Root>
    </div>
  );
}
