import type { Component } from 'svelte';
import type { Layer } from '../api/types';

/** A layer of a kind. */
export type Of<K extends Layer['kind']> = Extract<Layer, { kind: K }>;

/** How the interface shows one kind of layer; what it is called and what there is of it the core says. A kind is a folder. */
export type Kind<K extends Layer['kind'] = Layer['kind']> = {
  kind: K;
  /** What its card says beside its name. */
  aside: (layer: Of<K>) => string;
  /** A CSS background that stands for it at full strength. */
  ink: (layer: Of<K>) => string;
  Settings: Component<{ layer: Of<K> }>;
};
