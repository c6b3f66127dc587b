const KEY = 'umbel.single-keys';

/** Whether single keys do something; who types by voice or stumbles over them turns them off. */
export function singleKeysOn(): boolean {
  return localStorage.getItem(KEY) !== 'off';
}

export function setSingleKeys(on: boolean): void {
  localStorage.setItem(KEY, on ? 'on' : 'off');
}

/** Whether a key press is meant for a field and not for the page. */
export function inField(event: KeyboardEvent): boolean {
  return /^(INPUT|SELECT|TEXTAREA)$/.test((event.target as HTMLElement).tagName);
}
