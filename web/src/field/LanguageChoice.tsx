const LANGUAGES: [string, string][] = [
  ['en', 'English'],
  ['es', 'Español'],
];

/** The crew's language; the phone remembers it. */
export function LanguageChoice({
  language,
  choose,
}: {
  language: string;
  choose: (language: string) => void;
}) {
  return (
    <span role="group" aria-label="Language" className="flex">
      {LANGUAGES.map(([id, name]) => (
        <button
          key={id}
          type="button"
          aria-pressed={language === id}
          lang={id}
          onClick={() => {
            localStorage.setItem('umbel.language', id);
            choose(id);
          }}
          className={`min-h-11 px-3 text-[15px] ${language === id ? 'bg-ink font-semibold text-paper' : 'border border-line'}`}
        >
          {name}
        </button>
      ))}
    </span>
  );
}
