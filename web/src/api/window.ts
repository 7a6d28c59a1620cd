/** Which window asks: what is worked out for one is not broken off by another's question. */
export const WINDOW = { 'garnetfern-window': crypto.randomUUID?.() ?? String(Math.random()).slice(2) };
