import type { Block, Operation, Problem } from '../api/types';
import type { Bench } from '../bench/bench.svelte';

/** An operation that sets a field of a block, by its path inside it. */
export function setBlock(bench: Bench, block: Block, field: string, value: unknown): Operation[] {
  return [{ op: 'add', path: `${bench.blockPath(block.id)}/${field}`, value }];
}

export function keepBlock(
  bench: Bench,
  block: Block,
  field: string,
  value: unknown,
  label: string,
): Promise<Problem | null> {
  return bench.keep(setBlock(bench, block, field, value), label);
}
