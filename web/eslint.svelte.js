import * as svelte from 'svelte-eslint-parser';
import ts from 'typescript-eslint';

/** Components, as the rule about import circles reads them. */
export const parseForESLint = (code, options) => svelte.parseForESLint(code, { ...options, parser: ts.parser });
