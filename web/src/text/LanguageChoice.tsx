import { chooseLanguage, LANGUAGE_NAMES, LANGUAGES, useLanguage } from './language';

/** The language everything is shown in; this device remembers it. */
export function LanguageChoice({ small = false }: { small?: boolean }) {
  const now = useLanguage();
  return (
    <span role="group" aria-label={LANGUAGE_NAMES[now]} className={`flex ${small ? 'self-center' : ''}`}>
      {LANGUAGES.map((one) => (
        <button
          key={one}
          type="button"
          aria-pressed={now === one}
          aria-label={LANGUAGE_NAMES[one]}
          lang={one}
          onClick={() => {
            chooseLanguage(one);
          }}
          className={`${small ? 'min-h-8 px-1.5 text-[13px]' : 'min-h-11 px-3 text-[15px]'} ${now === one ? 'bg-ink font-semibold text-paper' : 'border border-line'}`}
        >
          {small ? one.toUpperCase() : LANGUAGE_NAMES[one]}
        </button>
      ))}
    </span>
  );
}
