import type { ReactNode } from 'react';
import type { Knowledge } from '../api/client';
import { ChoiceField, NumberField } from '../plant/CountFields';
import { locale } from '../text/language';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { dateOf } from './picking';
import { WHEN, type HouseholdTold, type HouseholdTree } from './household';

/** Trees of one cultivar: of which kind, trained how, ripening and blooming when, how many. */
export function HouseholdLine({
  number,
  tree,
  known,
  set,
  drop,
  children,
}: {
  number: number;
  tree: HouseholdTree;
  known: Knowledge | undefined;
  set: (part: Partial<HouseholdTree>) => void;
  drop: () => void;
  children: ReactNode;
}) {
  const say = useSay();
  const systems = (known?.systems ?? []).filter((one) => one.species.includes(tree.species ?? ''));
  const when = WHEN.map((one) => [one, say('household.when', { when: one })] as const);
  return (
    <li className="border-b border-line py-2.5">
      <div className="grid grid-cols-[20px_minmax(0,5fr)_minmax(0,7fr)] items-end gap-2">
        <b className="pb-2 font-display">{number}</b>
        <ChoiceField
          name={say('plantings.kind')}
          value={tree.species}
          options={(known?.species ?? []).map((one) => [one.id, one.name] as const)}
          set={(species) => {
            const own = (known?.systems ?? []).filter((one) => one.species.includes(species ?? ''));
            const stays = own.some((one) => one.id === tree.system);
            set({ species, system: stays ? tree.system : own[0]?.id });
          }}
        />
        <ChoiceField
          name={say('plantings.system')}
          value={tree.system}
          options={systems.map((one) => [one.id, one.name] as const)}
          set={(system) => {
            set({ system });
          }}
        />
      </div>
      <div className="mt-1 ml-7 grid grid-cols-[1fr_1fr_auto_auto] items-end gap-2">
        <ChoiceField
          name={say('household.ripens')}
          value={tree.ripens}
          options={when}
          set={(ripens) => {
            set({ ripens });
          }}
        />
        <ChoiceField
          name={say('household.blooms')}
          value={tree.blooms}
          options={when}
          set={(blooms) => {
            set({ blooms });
          }}
        />
        <NumberField
          name={say('household.count')}
          width="w-14"
          value={tree.count}
          set={(count) => {
            set({ count });
          }}
        />
        <Button weight="quiet" aria-label={say('household.remove', { number })} onClick={drop}>
          ✕
        </Button>
      </div>
      {children}
    </li>
  );
}

/** When a line blooms and is picked, what it bears, and whether it is pollinated. */
export function LineFacts({
  told,
  at,
  names,
}: {
  told: HouseholdTold;
  at: number;
  names: readonly string[];
}) {
  const say = useSay();
  const line = told.trees[at];
  if (!line) return null;
  const day = new Intl.DateTimeFormat(locale(), { day: 'numeric', month: 'short', timeZone: 'UTC' });
  const said = (sent: string) => day.format(dateOf(sent));
  const wrong = ['missing', 'other-time'].includes(line.partner);
  return (
    <p className="pt-1 pl-7 text-[14px]">
      {line.pickedFrom && line.pickedTo && line.bloom && line.faded
        ? say('household.days', {
            bloom: said(line.bloom),
            faded: said(line.faded),
            from: said(line.pickedFrom),
            to: said(line.pickedTo),
          })
        : say('picking-times.evergreen')}{' '}
      {say('household.bears', { amount: line.kgATree, leaf: line.fullLeaf })}{' '}
      <span className={wrong ? 'font-semibold text-lichen' : 'text-muted'}>
        {say('household.partner', {
          partner: line.partner.replaceAll('-', ''),
          names: new Intl.ListFormat(locale()).format(line.partners.map((one) => names[one] ?? '')),
        })}
      </span>
    </p>
  );
}
