import { untrack } from 'svelte';
import type { Problem } from '../api/types';
import { useBench } from './context';
import type { Edits } from './edits.svelte';
import type { Selection } from './selection.svelte';
import { put, type Target } from './target';

export type Values = Record<string, unknown>;

/** Shows and keeps settings of one thing of the document, whatever is chosen meanwhile. A field may be a path. */
export class Editor {
  readonly target: Target;
  private readonly edits: Edits;

  constructor(edits: Edits, target: Target) {
    this.edits = edits;
    this.target = target;
  }

  show(values: Values, screen: string | null = null): void {
    this.edits.show(put(this.target, values, screen));
  }

  keep(values: Values, label: string, screen: string | null = null): Promise<Problem | null> {
    return this.edits.keep(put(this.target, values, screen), label);
  }
}

/** An editor for as long as a component lives: of what was chosen when it began. */
export function editorOf(target: (selection: Selection) => Target): Editor {
  const { edits, selection } = useBench();
  return untrack(() => new Editor(edits, target(selection)));
}
