import { useSyncExternalStore } from 'react';

/** The languages the program speaks. */
export const LANGUAGES = ['en', 'es'] as const;
export type Language = (typeof LANGUAGES)[number];

/** What each language is called by those who speak it. */
export const LANGUAGE_NAMES: Record<Language, string> = { en: 'English', es: 'Español' };

const CHOSEN = 'umbel.language';
const listeners = new Set<() => void>();
let now: Language = chosen() ?? byBrowser();

function isLanguage(word: string | null | undefined): word is Language {
  return LANGUAGES.some((one) => one === word);
}

function chosen(): Language | null {
  const kept = typeof localStorage === 'undefined' ? null : localStorage.getItem(CHOSEN);
  return isLanguage(kept) ? kept : null;
}

function byBrowser(): Language {
  const asked = typeof navigator === 'undefined' ? [] : navigator.languages;
  return asked.map((one) => one.slice(0, 2)).find(isLanguage) ?? 'en';
}

/** The language texts are in at this moment. */
export function language(): Language {
  return now;
}

/** How numbers and days are written: as this browser's user writes them where that is in the language shown. */
export function locale(): string {
  const asked = typeof navigator === 'undefined' ? [] : navigator.languages;
  return asked.find((one) => one.startsWith(now)) ?? now;
}

/** Shows everything in another language; what is being entered stays. */
export function setLanguage(next: Language): void {
  now = next;
  document.documentElement.lang = next;
  listeners.forEach((tell) => {
    tell();
  });
}

/** The same, by the person's own choice, which this device remembers. */
export function chooseLanguage(next: Language): void {
  localStorage.setItem(CHOSEN, next);
  setLanguage(next);
}

/** The language of a person's account, where nobody chose another on this device. */
export function proposeLanguage(word: string): void {
  if (chosen() === null && isLanguage(word) && word !== now) setLanguage(word);
}

/** Tells whenever the language changes; gives what ends that. */
export function onLanguage(tell: () => void): () => void {
  listeners.add(tell);
  return () => {
    listeners.delete(tell);
  };
}

/** The language, for a component that is drawn anew when it changes. */
export function useLanguage(): Language {
  return useSyncExternalStore(onLanguage, language);
}
