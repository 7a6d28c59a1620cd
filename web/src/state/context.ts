import { createContext } from 'svelte';
import type { Bench } from './bench';

/** The concerns of the bench, for every component below the application. */
export const [useBench, giveBench] = createContext<Bench>();
