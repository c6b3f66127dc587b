/** Whether some texts hold all the words that are sought. */
export type Has = (...texts: string[]) => boolean;

/** Whether texts hold all words of what is typed, in any order; everything does where nothing is typed. */
export function seeking(typed: string): Has {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  return (...texts) => words.every((word) => texts.join(' ').toLowerCase().includes(word));
}
