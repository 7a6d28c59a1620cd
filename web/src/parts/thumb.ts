/** A stone ground that dark and light marks are both seen on, in either theme. */
const GROUND = 'linear-gradient(#a8a297, #a8a297)';

type Small = { hash: string; alpha?: boolean };

const laid = (picture: string, { alpha }: Small) => (alpha ? `${picture}, ${GROUND}` : picture);

/** Where a picture in small is fetched from. */
export const thumbAt = (hash: string, asked = ''): string =>
  `/thumbs/${hash.slice(0, 10)}${asked && `?${asked}`}`;

/** A picture in small, as a CSS background-image: of one that can be seen through, on a ground of its own. */
export function smallOf(asset: Small, large = false): string {
  return laid(`url(${thumbAt(asset.hash, large ? 'large' : '')})`, asset);
}

/** The same filling its box, as a CSS background. */
export const fillingOf = (asset: Small): string => laid(`url(${thumbAt(asset.hash)}) center / cover`, asset);
