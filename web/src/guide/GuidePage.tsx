import { Tabs } from 'radix-ui';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { PaperLinks } from '../sheets/PaperLinks';
import { say, useSay } from '../text/say';
import { Failed, Loading } from '../ui/States';
import { Cuts } from './Cuts';
import { seeking } from './has';
import { CountedKinds, Species } from './Kinds';
import { RuleList } from './RuleList';
import { Schools } from './Schools';
import { Systems } from './Systems';
import { Terms } from './Terms';
import { useGuide } from './useGuide';

const TABS = () =>
  [
    ['rules', say('guide-page.what-to-look-for')],
    ['cuts', say('guide-page.cuts-and-tools')],
    ['terms', say('guide-page.parts-and-terms')],
    ['schools', say('guide-page.schools-side-by-side')],
    ['systems', say('guide-page.training-systems')],
    ['species', say('guide-page.kinds-of-tree')],
    ['counted', say('guide-page.bushes-canes-vines')],
  ] as const;

/** What the program goes by, for reading: findings drawn, schools, systems, kinds of tree. */
export function GuidePage() {
  const say = useSay();
  const [params, setParams] = useSearchParams();
  const rule = params.get('rule');
  const tab = params.get('tab') ?? 'rules';
  const [sought, setSought] = useState('');
  const guide = useGuide();
  if (guide.isPending) return <Loading what={say('guide-page.opening-the-guide')} />;
  if (guide.isError) return <Failed error={guide.error} retry={() => void guide.refetch()} />;
  const has = seeking(sought);
  return (
    <div className="mx-auto max-w-[1080px] px-6 py-6">
      <div className="flex flex-wrap items-end justify-between gap-4">
        <h1 className="text-[28px] font-bold">{say('guide-page.guide')}</h1>
        <div className="flex flex-wrap items-center gap-4">
          <PaperLinks path="/api/guide/booklet.pdf" what={say('guide-page.booklet')} />
          <label className="sr-only" htmlFor="seek-guide">
            {say('guide-page.search-the-guide')}
          </label>
          <input
            id="seek-guide"
            type="search"
            placeholder={say('guide-page.search-the-guide')}
            value={sought}
            onChange={(event) => {
              setSought(event.target.value);
            }}
            className="min-h-10 w-64 rounded-md border border-muted/50 bg-paper px-3"
          />
        </div>
      </div>
      <Tabs.Root
        value={tab}
        onValueChange={(next) => {
          setParams({ tab: next });
        }}
        className="mt-3"
      >
        <Tabs.List
          aria-label={say('guide-page.parts-of-the-guide')}
          className="flex flex-wrap gap-x-6 border-b border-ink"
        >
          {TABS().map(([value, name]) => (
            <Tabs.Trigger
              key={value}
              value={value}
              className="border-b-[3px] border-transparent pt-2 pb-1.5 text-muted data-[state=active]:border-ink data-[state=active]:font-semibold data-[state=active]:text-ink"
            >
              {name}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <Tabs.Content value="rules">
          <RuleList chosen={rule} has={has} />
        </Tabs.Content>
        <Tabs.Content value="cuts">
          <Cuts cuts={guide.data.cuts} chosen={params.get('cut')} has={has} />
        </Tabs.Content>
        <Tabs.Content value="terms">
          <Terms
            guide={guide.data}
            chosen={params.get('term')}
            has={has}
            choose={(term) => {
              setParams({ tab: 'terms', term });
            }}
          />
        </Tabs.Content>
        <Tabs.Content value="schools">
          <Schools guide={guide.data} has={has} />
        </Tabs.Content>
        <Tabs.Content value="systems">
          <Systems guide={guide.data} has={has} />
        </Tabs.Content>
        <Tabs.Content value="species">
          <Species guide={guide.data} has={has} />
        </Tabs.Content>
        <Tabs.Content value="counted">
          <CountedKinds guide={guide.data} has={has} />
        </Tabs.Content>
      </Tabs.Root>
    </div>
  );
}
