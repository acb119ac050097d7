/** Where the application lies: at the root of a name, or below a path that the server wrote into the page. */
const BASE: string =
  globalThis.document?.querySelector<HTMLMetaElement>('meta[name="jittery-cap-base"]')?.content.replace(/\/$/, "") ??
  "";

/** The path below which the router works. */
export const BASENAME: string = BASE === "" ? "/" : BASE;

/** A path of the application, as the browser has to ask for it. @param path begins with / */
export const under = (path: string): string => `${BASE}${path}`;

/** A path of the application, whole, as it is given to others. */
export const linkTo = (path: string): string => `${window.location.origin}${under(path)}`;
