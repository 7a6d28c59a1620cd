/** The site that this window works on. It never changes: another site is another document of the browser's. */
let prefix = '';
let id = '';
let only = true;

/** Work on this site from here on; `alone`: there is no other. */
export function workOn(site: string, alone: boolean): void {
  id = site;
  only = alone;
  prefix = `/of/${encodeURIComponent(site)}`;
}

/** The id of the site that is worked on. */
export const siteId = () => id;

/** What an address says of the site: nothing where there is but one. */
export const siteInAddress = () => (only ? undefined : id);

/** Where the site that is worked on answers. What all sites share is where it is. */
export const ofSite = (path: string) => (path.startsWith('/api/sites') ? path : prefix + path);
