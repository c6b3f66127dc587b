import { Link, NavLink, Outlet, useParams } from 'react-router';

/** The frame round every page: the name, the way about, and which tree one is at. */
export function App() {
  const { id } = useParams();
  const here = (to: string, words: string) => (
    <NavLink
      to={to}
      end
      className={({ isActive }) =>
        `border-b-[3px] px-1 pt-3.5 pb-2.5 ${isActive ? 'border-ink font-semibold' : 'border-transparent text-muted hover:text-ink'}`
      }
    >
      {words}
    </NavLink>
  );
  return (
    <div className="flex h-full flex-col">
      <header className="no-print flex items-center gap-7 border-b border-line bg-paper px-5">
        <Link to="/" className="flex items-center gap-2 font-display text-[21px] font-bold tracking-tight">
          <img src="/mark.svg" alt="" width={24} height={24} />
          Umbel
        </Link>
        <nav aria-label="Main" className="flex gap-5">
          {here('/', 'Holding')}
          {id && (
            <>
              {here(`/trees/${id}`, 'Tree')}
              {here(`/trees/${id}/survey`, 'Survey')}
              {here(`/trees/${id}/sheet`, 'Sheet')}
              {here(`/trees/${id}/record`, 'Record')}
            </>
          )}
        </nav>
      </header>
      <main className="min-h-0 flex-1 overflow-auto print:overflow-visible">
        <Outlet />
      </main>
    </div>
  );
}
