import type { Block } from '../api/types';

/** The words of a block in one line, whatever they are made of. */
export function wordsOf(block: Block): string {
  return block.items?.length ? block.items.map((item) => item.wording).join(', ') : (block.wording ?? '');
}
