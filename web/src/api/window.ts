const NAME = crypto.randomUUID?.() ?? String(Math.random()).slice(2);
let questions = 0;

/** Which window asks, and its how manieth question it is: what is worked out for one window is not broken off by
 * another's question, nor a newer question by an older one that is begun late. */
export const window = () => ({ 'garnetfern-window': `${NAME} ${++questions}` });
