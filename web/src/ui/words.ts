/** Plain words for the ids that travel. */
export const RULE_WORDS: Record<string, string> = {
  'unsound-wood': 'Unsound wood',
  'root-sucker': 'Rootstock shoot',
  'rival-leader': 'Two tops',
  'limb-too-thick': 'Too thick for its place',
  'tight-crotch': 'Tight crotch',
  'crowded-origin': 'Crowded on the trunk',
  'stacked-limbs': 'One above the other',
  crossing: 'Crossing',
  inward: 'Growing inward',
  'water-sprout': 'Water sprouts',
  hanger: 'Hanging wood',
  shade: 'Shade',
  'over-height': 'Too high',
  crowding: 'Crowded shoots',
};

/** The stages of the work, as they are said at the tree. */
export const STAGE_WORDS: Record<string, string> = {
  suckers: 'From below the union',
  unsound: 'Nobody argues about these',
  frame: 'The frame, big cuts first',
  uprights: 'Uprights and hangers',
  renewal: 'Young wood for old',
  detail: 'Detail',
  train: 'Bend what stays',
};

export const SEVERITY_WORDS: Record<string, string> = { act: 'act', consider: 'consider', watch: 'watch' };

/** A share as whole per cent. */
export function percent(share: number): string {
  return `${Math.round(share * 100)} %`;
}

/** Minutes as a person says them. */
export function minutes(count: number): string {
  return count < 1 ? 'under a minute' : `${Math.round(count)} min`;
}

/** A day in the reader's own way of writing. */
export function day(iso: string): string {
  return new Date(`${iso}T12:00:00`).toLocaleDateString(undefined, {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
  });
}

/** How a step stands on the sure side. */
export function sureness(confidence: number): string {
  return `${Math.round(confidence * 100)} % sure`;
}
