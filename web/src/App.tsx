import { useSay } from './text/say';
import { useMayChange, useWho } from './people/who';
import { LanguageChoice } from './text/LanguageChoice';
import { Keys } from './ui/Keys';
import { MoreMenu } from './ui/MoreMenu';
import { useState } from 'react';
import { Link, NavLink, Outlet, useLocation, useParams } from 'react-router';

/** The frame round every page: the name, the way about, and which tree one is at. */
export function App() {
  const say = useSay();
  const { id } = useParams();
  const who = useWho();
  const mayChange = useMayChange();
  const prunes = who.role === 'pruner';
  const inTheField = useLocation().pathname.startsWith('/field');
  const path = useLocation().pathname;
  const atTree = path.startsWith('/trees/');
  const atPlant = path.startsWith('/plants/');
  // with the farm's name and what there is of the tree beside them, these do not fit into a laptop's width
  const crowded = who.farms > 1 && (atTree || atPlant);
  const [keys, setKeys] = useState(false);
  const here = (to: string, words: string) => (
    <NavLink
      to={to}
      end
      className={({ isActive }) =>
        `whitespace-nowrap border-b-[3px] px-1 pt-3.5 pb-2.5 ${isActive ? 'border-ink font-semibold' : 'border-transparent text-muted hover:text-ink'}`
      }
    >
      {words}
    </NavLink>
  );
  if (inTheField) {
    return (
      <main className="h-full overflow-auto">
        <Outlet />
      </main>
    );
  }
  return (
    <div className="flex h-full flex-col">
      <header className="no-print flex items-center gap-7 border-b border-line bg-paper px-5 max-2xl:gap-5 max-sm:gap-4 max-sm:px-3">
        <Link to="/" className="flex items-center gap-2 font-display text-[21px] font-bold tracking-tight">
          <img src="/mark.svg" alt="" width={24} height={24} />
          <span className="max-sm:sr-only">{say('app.umbel')}</span>
        </Link>
        {who.farms > 1 && (
          <Link
            to="/farms"
            title={say('farms.title')}
            className="max-w-44 truncate border-l border-line pl-4 text-[14px] font-semibold underline-offset-4 hover:underline max-sm:max-w-24 max-sm:pl-2"
          >
            {who.farmName || say('farms.unnamed')}
          </Link>
        )}
        <nav aria-label={say('app.main')} className="flex flex-1 gap-5 overflow-x-auto max-2xl:gap-3.5">
          {!prunes && (
            <>
              {here('/', say('app.holding'))}
              {here('/season', say('app.season'))}
              {here('/season/crew', say('app.crew'))}
              {here('/due', say('app.due'))}
            </>
          )}
          {here('/field', say('app.rows'))}
          {id && atTree && (
            <>
              {here(`/trees/${id}`, say('app.tree'))}
              {mayChange && here(`/trees/${id}/survey`, say('app.survey'))}
              {here(`/trees/${id}/sheet`, say('app.sheet'))}
              {here(`/trees/${id}/record`, say('app.record'))}
            </>
          )}
          {id && atPlant && (
            <>
              {here(`/plants/${id}`, say('app.plant'))}
              {mayChange && here(`/plants/${id}/survey`, say('app.survey'))}
              {here(`/field/trees/${id}`, say('app.sheet'))}
              {here(`/plants/${id}/record`, say('app.record'))}
            </>
          )}
          <span className="ml-auto flex gap-5 max-2xl:gap-3.5">
            {here('/practice', say('app.practice'))}
            {!prunes && (
              <span className={`flex gap-5 max-2xl:gap-3.5 ${crowded ? 'max-2xl:hidden' : ''}`}>
                {here('/plantings', say('app.planting'))}
                {here('/compare', say('app.side-by-side'))}
              </span>
            )}
            {here('/guide', say('app.guide'))}
            <LanguageChoice small />
            <MoreMenu
              crowded={crowded && !prunes}
              showKeys={() => {
                setKeys(true);
              }}
            />
          </span>
        </nav>
      </header>
      <Keys open={keys} setOpen={setKeys} />
      <main className="min-h-0 flex-1 overflow-auto print:overflow-visible">
        <Outlet />
      </main>
    </div>
  );
}
