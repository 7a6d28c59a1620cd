import type { View } from '../views';
import type { Edits } from './edits.svelte';

/** Where one is: the view, its tab, what is chosen in it, and what is open over it. */
export class Place {
  view = $state<View>('bench');
  tab = $state('');
  item = $state('');
  /** What is open over the view; at most one thing is. */
  panel = $state('');
  private readonly edits: Edits;

  constructor(edits: Edits) {
    this.edits = edits;
  }

  go(view: View): void {
    if (view === this.view) return;
    this.edits.turn();
    this.edits.forget();
    this.view = view;
    this.tab = '';
    this.item = '';
    this.panel = '';
  }

  turn(tab: string): void {
    this.edits.turn();
    this.tab = tab;
    this.item = '';
  }

  /** Choose one of the things that the view shows. */
  pick(item: string): void {
    this.edits.turn();
    this.item = item;
  }

  open(panel: string): void {
    void this.edits.settle();
    this.panel = panel;
  }

  /** Close it, if it is this that is open. */
  close(panel: string): void {
    if (this.panel === panel) this.panel = '';
  }

  toggle(panel: string): void {
    if (this.panel === panel) this.close(panel);
    else this.open(panel);
  }
}
