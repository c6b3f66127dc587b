import { paper } from '../api/paper';
import { LANGUAGE_NAMES, LANGUAGES } from '../text/language';

/** A page for print in every language there is, each under its own name. */
export function PaperLinks({ path, what }: { path: string; what: string }) {
  return (
    <span className="flex flex-wrap items-center gap-x-2">
      {what}
      {LANGUAGES.map((language) => (
        <a
          key={language}
          lang={language}
          aria-label={`${what} ${LANGUAGE_NAMES[language]}`}
          className="font-semibold underline underline-offset-4"
          href={paper(path, language)}
        >
          {LANGUAGE_NAMES[language]}
        </a>
      ))}
    </span>
  );
}
