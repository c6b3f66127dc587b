const IN_A_FARM = /^\/farms\/[a-z0-9]{1,20}(?=\/|$)/;

/** How the addresses of a farm begin; empty for a page of the farm that needs no telling. */
export function farmOf(path: string): string {
  return IN_A_FARM.exec(path)?.[0] ?? '';
}

/** The farm this page was opened in. It stays the same as long as the page is open; going to another farm opens a page anew. */
export const farmBase = typeof window === 'undefined' ? '' : farmOf(window.location.pathname);

/** An address of the program in the farm of this page, for links to files and pictures. */
export function inFarm(path: string): string {
  return farmBase + path;
}

/** The address of a page of another farm. */
export function ofFarm(code: string, path = '/'): string {
  return `/farms/${code}${path}`;
}

/** Under which key something of this farm is kept on this device: what is to be sent goes to the farm it was made in. */
export function keptAs(key: string): string {
  return farmBase === '' ? key : `${key}@${farmBase}`;
}
